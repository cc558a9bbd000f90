import { codesOff, firstCode } from '../../../contract/peopleSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { beginCodes, loadCodes, turnOffCodes, turnOnCodes } from '../../../server/people/codes';

/** Whether one is asked for a code at sign-in. */
export const GET = endpoint({ may: 'self', run: ({ visitor }) => loadCodes(visitor!) });

/** A secret for one's app; it is told this once. */
export const POST = endpoint({ may: 'self', status: 201, run: ({ visitor }) => beginCodes(visitor!) });

/** Turns codes on, by a first one. */
export const PUT = endpoint({
  may: 'self',
  body: firstCode,
  run: ({ body: { code }, visitor }) => turnOnCodes(visitor!, code),
});

/** Turns codes off, by one's password. */
export const DELETE = endpoint({
  may: 'self',
  body: codesOff,
  run: ({ body: { password }, visitor }) => turnOffCodes(visitor!, password),
});
