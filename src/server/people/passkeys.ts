import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server';
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server';
import { MowingError } from '../../contract/mowingError';
import type { PasskeyInfo } from '../../contract/people';
import { nameCaller } from '../../db/queries/audit';
import {
  deletePasskey,
  findPasskey,
  insertChallenge,
  insertPasskey,
  listPasskeys,
  markUsed,
  takeChallenge,
} from '../../db/queries/passkeys';
import { findPerson, logPeople } from '../../db/queries/people';
import { db, log } from '../context/context';
import { needSelf } from './ownSignIn';
import { beginSession } from './signIn';
import type { From } from './signIn';
import type { Visitor } from './visitor';

/** The name and origin under which a browser asks: a passkey works there and nowhere else. */
export interface Site {
  host: string;
  origin: string;
}

/** Somebody's passkeys. */
export async function loadPasskeys(visitor: Visitor): Promise<PasskeyInfo[]> {
  const keys = await listPasskeys(db(), needSelf(visitor).id);
  return keys.map(({ credential: _credential, ...key }) => key);
}

/** What a browser needs to make a passkey for whoever is signed in. */
export async function askForPasskey(visitor: Visitor, site: Site) {
  const { id, name, email } = needSelf(visitor);
  const options = await generateRegistrationOptions({
    rpName: 'Mowing',
    rpID: site.host,
    userID: new TextEncoder().encode(`person ${id}`),
    userName: email,
    userDisplayName: name,
    excludeCredentials: (await listPasskeys(db(), id)).map(({ credential }) => ({ id: credential })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
  await insertChallenge(db(), options.challenge, id);
  return options;
}

/** Keeps the passkey that a browser made. @throws MowingError where it was not asked for here, or made elsewhere */
export async function keepPasskey(
  visitor: Visitor,
  site: Site,
  { name, response }: { name: string; response: unknown },
): Promise<{ kept: true }> {
  const person = needSelf(visitor);
  const made = await checked(() =>
    verifyRegistrationResponse({
      response: response as RegistrationResponseJSON,
      expectedChallenge: (challenge) => takeChallenge(db(), challenge, person.id),
      expectedOrigin: site.origin,
      expectedRPID: site.host,
      requireUserVerification: true,
    }),
  );
  if (!made?.verified || !made.registrationInfo) throw notTaken();
  const { id, publicKey, counter } = made.registrationInfo.credential;
  await db().begin(async (tx) => {
    await nameCaller(tx, person.name);
    await insertPasskey(tx, { personId: person.id, credential: id, publicKey, counter, name });
    await logPeople(tx, { what: 'add passkey', subject: person.name });
  });
  return { kept: true };
}

/** Takes a passkey of one's own away. */
export async function dropPasskey(visitor: Visitor, id: number): Promise<{ removed: true }> {
  const person = needSelf(visitor);
  await db().begin(async (tx) => {
    await nameCaller(tx, person.name);
    if ((await deletePasskey(tx, person.id, id)) === undefined)
      throw new MowingError('not-found', 'You have no such passkey any more. Load the page again.');
    await logPeople(tx, { what: 'remove passkey', subject: person.name });
  });
  return { removed: true };
}

/** What a browser needs to ask its device for a passkey, whoever wants in. */
export async function askToComeIn(site: Site) {
  const options = await generateAuthenticationOptions({ rpID: site.host, userVerification: 'required' });
  await insertChallenge(db(), options.challenge, null);
  return options;
}

/** Lets somebody in by a passkey. @returns the secret of the session @throws MowingError for one that is not known, or was used on another site */
export async function comeInByPasskey(response: unknown, site: Site, from: From): Promise<string> {
  const told = response as AuthenticationResponseJSON;
  const key = await findPasskey(db(), told.id);
  const made = await checked(async () =>
    key === undefined
      ? null
      : verifyAuthenticationResponse({
          response: told,
          expectedChallenge: (challenge) => takeChallenge(db(), challenge, null),
          expectedOrigin: site.origin,
          expectedRPID: site.host,
          requireUserVerification: true,
          credential: {
            id: key.credential,
            publicKey: new Uint8Array(key.publicKey),
            counter: Number(key.counter),
          },
        }),
  );
  const person = key && (await findPerson(db(), key.personId));
  if (!made?.verified || !key || !person) {
    log().warn({ address: from.address }, 'passkey refused');
    throw notTaken();
  }
  await markUsed(db(), key.id, made.authenticationInfo.newCounter);
  return beginSession(person, from);
}

/** What a browser sent may be anything: the library says no by throwing. */
async function checked<T>(verify: () => Promise<T>): Promise<T | null> {
  try {
    return await verify();
  } catch (error) {
    log().info({ err: error }, 'passkey not taken');
    return null;
  }
}

const notTaken = () =>
  new MowingError(
    'forbidden',
    'The passkey was not taken: it is not known here, was made for another address, or came too late. Try again, or use your password.',
  );
