import type { OneTimeLink } from '../../contract/people';
import { MowingError } from '../../contract/mowingError';
import type { Transaction } from '../../db/connection';
import { nameCaller } from '../../db/queries/audit';
import { findPerson, logPeople, setPassword } from '../../db/queries/people';
import { endSessions, insertLink, takeLink } from '../../db/queries/sessions';
import { db } from '../context/context';
import { dropCodes } from './codes';
import { hashPassword } from './password';
import { hashOf, newSecret } from './secrets';
import { beginSession } from './signIn';
import type { From } from './signIn';

/** An invitation waits for somebody; a reset for somebody who stands at the door. */
export const LINK_HOURS = { invitation: 7 * 24, reset: 24 };

/** Makes a link with which somebody chooses a password, once. Behind its #, which browsers send to nobody. */
export async function makeOneTimeLink(
  tx: Transaction,
  personId: number,
  hours: number,
): Promise<OneTimeLink> {
  const secret = newSecret();
  const until = await insertLink(tx, { hash: hashOf(secret), personId, hours });
  return { path: `/welcome#${secret}`, until, mail: 'off' };
}

/**
 * Takes the password that somebody chose by a link. Wherever she was signed in before, that ends.
 * @returns the secret of her session @throws MowingError for a link that does not work any more
 */
export async function welcome(asked: { token: string; password: string }, from: From): Promise<string> {
  const password = await hashPassword(asked.password);
  const person = (await db().begin(async (tx) => {
    const id = await takeLink(tx, hashOf(asked.token));
    const found = id === undefined ? undefined : await findPerson(tx, id);
    if (!found)
      throw new MowingError(
        'forbidden',
        'This link has been used, has ended, or a newer one was made. Ask for a new link.',
      );
    await nameCaller(tx, found.name);
    await setPassword(tx, found.id, password);
    await endSessions(tx, found.id, { allBut: null });
    // Who lost her phone gets in again by a link, and by nothing else.
    await dropCodes(tx, found);
    await logPeople(tx, { what: 'choose password', subject: found.name, address: from.address });
    return found;
  })) as { id: number; name: string };
  return beginSession(person, from);
}
