import { Secret, TOTP } from 'otpauth';
import { MowingError } from '../../contract/mowingError';
import type { CodesInfo, NewCodes } from '../../contract/people';
import type { Query, Transaction } from '../../db/connection';
import { nameCaller } from '../../db/queries/audit';
import { deleteCodeKey, findCodeKey, putCodeKey, takeStep, turnCodesOn } from '../../db/queries/codeKeys';
import { findPerson, logPeople } from '../../db/queries/people';
import { db } from '../context/context';
import { needSelf } from './ownSignIn';
import { isPassword } from './password';
import type { Visitor } from './visitor';

/** Six digits anew each half minute, of SHA-1: what every app for codes knows (RFC 6238). */
const FORM = { issuer: 'Mowing', algorithm: 'SHA1', digits: 6, period: 30 } as const;
const SECRET_BYTES = 20;
/** Clocks of phones are off by some seconds: the code before and the one after are taken too. */
const WINDOW = 1;

const totp = (secret: Secret, label = '') => new TOTP({ ...FORM, label, secret });

/** Whether somebody is asked for a code when she signs in by password. */
export async function loadCodes(visitor: Visitor): Promise<CodesInfo> {
  const key = await findCodeKey(db(), needSelf(visitor).id);
  return { onSince: key?.onSince ?? null };
}

/** A new secret for somebody's app; not in use before a first code of it came. @throws MowingError where codes are on */
export async function beginCodes(visitor: Visitor): Promise<NewCodes> {
  const { id, email } = needSelf(visitor);
  const secret = new Secret({ size: SECRET_BYTES });
  if (!(await putCodeKey(db(), id, secret.bytes)))
    throw new MowingError('conflict', 'You sign in with codes already. Turn them off before you begin anew.');
  return { secret: secret.base32, address: totp(secret, email).toString() };
}

/** Turns codes on by a first one. @throws MowingError for one that is not the app's */
export async function turnOnCodes(visitor: Visitor, code: string): Promise<CodesInfo> {
  const { id, name } = needSelf(visitor);
  await db().begin(async (tx) => {
    await nameCaller(tx, name);
    if (!(await isCode(tx, id, code)))
      throw new MowingError(
        'bad-request',
        'This is not the code that the app shows now. Look whether the clock of the phone is right, and take the next one.',
      );
    await turnCodesOn(tx, id);
    await logPeople(tx, { what: 'codes on', subject: name });
  });
  return loadCodes(visitor);
}

/** Turns codes off. @throws MowingError where the password is wrong: who finds a browser open shall not be able to */
export async function turnOffCodes(visitor: Visitor, password: string): Promise<CodesInfo> {
  const { id, name } = needSelf(visitor);
  const kept = await findPerson(db(), id);
  if (!(await isPassword(password, kept?.password ?? null)))
    throw new MowingError('forbidden', 'The password is wrong. Codes are still asked for.');
  await db().begin(async (tx) => {
    await nameCaller(tx, name);
    await dropCodes(tx, { id, name });
  });
  return { onSince: null };
}

/** Takes somebody's codes away, and tells it where she had any. */
export async function dropCodes(tx: Transaction, person: { id: number; name: string }): Promise<void> {
  if (await deleteCodeKey(tx, person.id)) await logPeople(tx, { what: 'codes off', subject: person.name });
}

/** Whether a password alone is not enough for somebody. */
export const needsCode = async (personId: number): Promise<boolean> =>
  (await findCodeKey(db(), personId))?.onSince != null;

/** Whether a code is somebody's, of now, and was not taken before. */
export async function isCode(sql: Query, personId: number, code: string): Promise<boolean> {
  const key = await findCodeKey(sql, personId);
  if (!key) return false;
  const secret = new Secret({ buffer: Uint8Array.from(key.secret).buffer });
  const now = Date.now();
  const delta = totp(secret).validate({ token: code.replace(/\s/g, ''), timestamp: now, window: WINDOW });
  return delta !== null && takeStep(sql, personId, Math.floor(now / 1000 / FORM.period) + delta);
}
