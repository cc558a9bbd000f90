import { createHash } from 'node:crypto';
import { MowingError } from '../../contract/mowingError';
import { forgiveTries, takeTry } from '../../db/queries/failedTries';
import { findByEmail, logPeople } from '../../db/queries/people';
import { endSessions, insertSession } from '../../db/queries/sessions';
import { nameCaller } from '../../db/queries/audit';
import { db, log } from '../context/context';
import { isCode, needsCode } from './codes';
import { isPassword } from './password';
import { hashOf, newSecret } from './secrets';

/** Longest waits after failures, s: by person short enough that nobody can shut somebody out; long by address, and for codes, which only who knows the password tries. */
const LONGEST_WAIT = { person: 60, address: 900, code: 900 };

/** Where a try comes from. */
export interface From {
  address: string;
  browser: string;
}

/**
 * Lets somebody in who knows the password, and the code of her app where she has one. Says the same, and as late, whether there is such a
 * person or not.
 * @returns the secret of the session
 * @throws MowingError 'too-many' while failures before have to be waited out, 'not-signed-in' for a wrong password or code, 'code-wanted' where one is missing
 */
export async function signIn(
  asked: { email: string; password: string; code?: string },
  from: From,
): Promise<string> {
  const keys = [
    { key: `person ${fingerprint(asked.email)}`, most: LONGEST_WAIT.person },
    { key: `address ${from.address}`, most: LONGEST_WAIT.address },
  ];
  for (const { key, most } of keys) await waitOut(key, most);
  const person = await findByEmail(db(), asked.email);
  if (!(await isPassword(asked.password, person?.password ?? null)) || !person) {
    await noteFailure(person, from);
    throw new MowingError('not-signed-in', 'E-mail or password is wrong. Nothing tells which of the two.');
  }
  // What was asked without a code stays counted: else it would wipe out wrong codes before it.
  if (await needsCode(person.id)) keys.push(await checkCode(person, asked.code, from));
  for (const { key } of keys) await forgiveTries(db(), key);
  return beginSession(person, from);
}

/** Looks at the code of somebody who knew her password. @returns the key that her tries are counted under */
async function checkCode(person: { id: number; name: string }, code: string | undefined, from: From) {
  if (code === undefined) throw new MowingError('code-wanted', 'Now the code that your app shows.');
  const counted = { key: `code ${person.id}`, most: LONGEST_WAIT.code };
  await waitOut(counted.key, counted.most);
  if (await isCode(db(), person.id, code)) return counted;
  await noteFailure(person, from);
  throw new MowingError(
    'not-signed-in',
    'The code is wrong, was used before, or has run out. Take the next one that your app shows.',
  );
}

async function waitOut(key: string, most: number): Promise<void> {
  const seconds = await takeTry(db(), key, most);
  if (seconds > 0) throw tooMany(seconds);
}

async function noteFailure(person: { id: number; name: string } | undefined, { address }: From) {
  log().warn({ address, person: person?.id ?? null }, 'sign-in failed');
  if (person) await logPeople(db(), { what: 'sign-in failed', subject: person.name, address });
}

/** Begins a session: its secret is new each time, so that none given before lets anybody in. */
export async function beginSession(person: { id: number; name: string }, from: From): Promise<string> {
  const secret = newSecret();
  await db().begin(async (tx) => {
    await nameCaller(tx, person.name);
    await insertSession(tx, { hash: hashOf(secret), personId: person.id, ...from });
    await logPeople(tx, { what: 'sign in', subject: person.name, address: from.address });
  });
  return secret;
}

/** Ends a session of somebody. */
export async function endSession(person: { id: number; name: string }, id: number): Promise<number> {
  return db().begin(async (tx) => {
    await nameCaller(tx, person.name);
    const ended = await endSessions(tx, person.id, { id });
    if (ended > 0) await logPeople(tx, { what: 'sign out', subject: person.name });
    return ended;
  }) as Promise<number>;
}

/** Addresses that nobody has are counted like others, without being kept. */
const fingerprint = (email: string) =>
  createHash('sha256').update(email.trim().toLowerCase()).digest('base64url');

const tooMany = (seconds: number) =>
  new MowingError(
    'too-many',
    `Too many failed tries. Try again in ${seconds < 90 ? `${seconds} s` : `${Math.ceil(seconds / 60)} minutes`}.`,
  );
