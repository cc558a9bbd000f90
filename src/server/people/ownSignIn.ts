import { MowingError } from '../../contract/mowingError';
import type { SessionInfo } from '../../contract/people';
import { nameCaller } from '../../db/queries/audit';
import { findPerson, logPeople, setPassword } from '../../db/queries/people';
import { endSessions, listSessions } from '../../db/queries/sessions';
import { db } from '../context/context';
import { hashPassword, isPassword } from './password';
import type { Visitor } from './visitor';

/** The person who asks. @throws MowingError for a script, and where nobody signs in */
export function needSelf({ person }: Visitor): NonNullable<Visitor['person']> {
  if (!person) throw new MowingError('bad-request', 'Only somebody who is signed in can ask this.');
  return person;
}

/** Where somebody is signed in. */
export async function loadSessions(visitor: Visitor): Promise<SessionInfo[]> {
  const { id, sessionId } = needSelf(visitor);
  return (await listSessions(db(), id)).map((session) => ({ ...session, isThis: session.id === sessionId }));
}

/** Changes one's own password; wherever else one is signed in, that ends. @throws MowingError where the old one is wrong */
export async function changeOwnPassword(
  visitor: Visitor,
  asked: { old: string; password: string },
): Promise<{ kept: true }> {
  const { id, name, sessionId } = needSelf(visitor);
  const kept = await findPerson(db(), id);
  if (!(await isPassword(asked.old, kept?.password ?? null)))
    throw new MowingError('forbidden', 'The old password is wrong. Nothing was changed.');
  const hash = await hashPassword(asked.password);
  await db().begin(async (tx) => {
    await nameCaller(tx, name);
    await setPassword(tx, id, hash);
    await endSessions(tx, id, { allBut: sessionId });
    await logPeople(tx, { what: 'change password', subject: name });
  });
  return { kept: true };
}
