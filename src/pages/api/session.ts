import { sessionEnd, signInRequest } from '../../contract/peopleSchemas';
import { endpoint } from '../../server/http/endpoint';
import { browserOf, sessionAnswer } from '../../server/http/sessionCookie';
import { loadSessions, needSelf } from '../../server/people/ownSignIn';
import { endSession, signIn } from '../../server/people/signIn';

/** Where somebody is signed in. */
export const GET = endpoint({ may: 'self', isLight: true, run: ({ visitor }) => loadSessions(visitor!) });

/** Signs in. */
export const POST = endpoint({
  may: 'anyone',
  body: signInRequest,
  run: async ({ body, request, from }) =>
    sessionAnswer(from, await signIn(body, { address: from.address, browser: browserOf(request) }), 201),
});

/** Signs out: here, or where else somebody is signed in. */
export const DELETE = endpoint({
  may: 'self',
  body: sessionEnd,
  run: async ({ body: { id }, visitor, from }) => {
    const self = needSelf(visitor!);
    await endSession(self, id ?? self.sessionId);
    return id === undefined || id === self.sessionId ? sessionAnswer(from, null) : { ended: true };
  },
});
