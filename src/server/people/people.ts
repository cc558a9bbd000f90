import { MowingError } from '../../contract/mowingError';
import type { OneTimeLink, PeopleAnswer, Role } from '../../contract/people';
import type { Transaction } from '../../db/connection';
import { listTokens } from '../../db/queries/apiTokens';
import { nameCaller } from '../../db/queries/audit';
import {
  countOwners,
  countRoles,
  findByEmail,
  findPerson,
  hasPeople,
  insertPerson,
  listPeople,
  listPeopleLog,
  logPeople,
  putRole,
  removePerson,
  rolesOf,
  setPassword,
} from '../../db/queries/people';
import { endSessions } from '../../db/queries/sessions';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { LINK_HOURS, makeOneTimeLink } from './links';
import { mailLink } from './mail';
import { hashPassword } from './password';
import { beginSession } from './signIn';
import type { From } from './signIn';

/** Who may see an account, its tokens; and for whoever owns everything, what happened at the door. */
export async function loadPeople(accountId: number, ownsAll: boolean): Promise<PeopleAnswer> {
  const [people, tokens, log] = await Promise.all([
    listPeople(db(), accountId),
    listTokens(db(), accountId),
    ownsAll ? listPeopleLog(db()) : [],
  ]);
  return {
    people: people.map(({ password, ...person }) => ({ ...person, isIn: password !== null })),
    tokens,
    log,
  };
}

/**
 * Makes the first person, who owns everything: from now on everybody has to sign in.
 * @returns the secret of her session @throws MowingError where somebody is here already
 */
export async function addFirstOwner(
  { password, ...owner }: { name: string; email: string; password: string },
  from: From,
): Promise<string> {
  const hash = await hashPassword(password);
  const id = (await db().begin(async (tx) => {
    // Two who try at once: the second finds the first.
    await tx`lock table mowing.person in exclusive mode`;
    if (await hasPeople(tx))
      throw new MowingError('conflict', 'Mowing has an owner already. Sign in, or ask her for a link.');
    await nameCaller(tx, owner.name);
    const made = (await insertPerson(tx, { ...owner, ownsAll: true }))!;
    await setPassword(tx, made, hash);
    await logPeople(tx, { what: 'first owner', subject: owner.name, address: from.address });
    return made;
  })) as number;
  return beginSession({ id, name: owner.name }, from);
}

/**
 * Makes somebody who owns everything, from the command line of the machine.
 * @returns a link for choosing a password
 */
export async function addOwner(owner: {
  name: string;
  email: string;
}): Promise<OneTimeLink & { id: number }> {
  return db().begin(async (tx) => {
    const id = await insertPerson(tx, { ...owner, ownsAll: true });
    if (id === undefined) throw taken(owner.email);
    await logPeople(tx, { what: 'add owner', subject: owner.name });
    return { id, ...(await makeOneTimeLink(tx, id, LINK_HOURS.invitation)) };
  }) as Promise<OneTimeLink & { id: number }>;
}

/** Makes a new one-time link for somebody, from the command line of the machine. @throws MowingError where nobody has the address */
export async function linkFor(email: string): Promise<OneTimeLink> {
  return db().begin(async (tx) => {
    const { id, name } = await needByEmail(tx, email);
    await endSessions(tx, id, { allBut: null });
    await logPeople(tx, { what: 'new link', subject: name });
    return makeOneTimeLink(tx, id, LINK_HOURS.reset);
  }) as Promise<OneTimeLink>;
}

/** Takes somebody out, owners too, from the command line of the machine. @returns the name @throws MowingError where nobody has the address */
export async function takeOut(email: string, isLast: boolean): Promise<string> {
  return db().begin(async (tx) => {
    const { id, name, ownsAll } = await needByEmail(tx, email);
    if (ownsAll && !isLast && (await countOwners(tx)) === 1)
      throw new MowingError(
        'conflict',
        `${name} is the last who owns everything. Add another owner first, or say --last: where nobody is left, whoever works at this machine comes in without signing in.`,
      );
    await removePerson(tx, id);
    await logPeople(tx, { what: 'take out', subject: name });
    return name;
  }) as Promise<string>;
}

async function needByEmail(tx: Transaction, email: string) {
  const person = await findByEmail(tx, email);
  if (!person) throw new MowingError('not-found', `Nobody has the address ${email}.`);
  return person;
}

/**
 * Gives somebody a role on an account. Somebody new gets a link for choosing a password; who has a password is simply let in, and so is who
 * was invited elsewhere: a link lets into all that she sees, and is made by nobody who does not own all of that.
 * @returns the link; null where none is made
 */
export async function invite(
  caller: Caller,
  accountId: number,
  { name, email, role }: { name: string; email: string; role: Role },
  ownedBy: (accountId: number) => boolean,
): Promise<{ link: OneTimeLink | null }> {
  const { link, to } = await recorded(caller, accountId, async (tx, note) => {
    if (!(await hasPeople(tx)))
      throw new MowingError('conflict', 'Make yourself the first owner before you let others in.');
    const known = await findByEmail(tx, email);
    const id = known?.id ?? (await insertPerson(tx, { name, email, ownsAll: false }));
    if (id === undefined) throw taken(email);
    if (known?.ownsAll) throw new MowingError('conflict', `${known.name} owns every account already.`);
    await putRole(tx, accountId, id, role);
    const subject = known?.name ?? name;
    note({ what: 'let in', subject, to: { role } });
    await logPeople(tx, { what: 'let in', subject });
    const isHers = known?.password != null || ![...(await rolesOf(tx, id)).keys()].every(ownedBy);
    const link = isHers ? null : await makeOneTimeLink(tx, id, LINK_HOURS.invitation);
    return { link, to: { name: subject, email } };
  });
  // Only what stands in the database is mailed.
  return { link: link && { ...link, mail: await mailLink(to, link, caller.name) } };
}

/** Gives somebody another role on an account, or none. Who has none left anywhere is taken out. */
export async function changeRole(
  caller: Caller,
  accountId: number,
  personId: number,
  role: Role | null,
): Promise<{ kept: true }> {
  return recorded(caller, accountId, async (tx, note) => {
    const { name, was } = await needPerson(tx, personId, accountId);
    await putRole(tx, accountId, personId, role);
    note({ what: 'change role', subject: name, from: { role: was }, to: { role } });
    if (role === null && (await countRoles(tx, personId)) === 0) {
      await removePerson(tx, personId);
      await logPeople(tx, { what: 'take out', subject: name });
    }
    return { kept: true };
  });
}

/**
 * Makes a link with which somebody chooses a new password, and ends her sessions. Only who owns everything that she sees may do that: the
 * link opens all of it.
 */
export async function resetPassword(
  caller: Caller,
  accountId: number,
  personId: number,
  ownedBy: (accountId: number) => boolean,
): Promise<OneTimeLink> {
  const { link, to } = await recorded(caller, accountId, async (tx, note) => {
    const { name, email } = await needPerson(tx, personId, accountId);
    const accounts = [...(await rolesOf(tx, personId)).keys()];
    if (!accounts.every(ownedBy))
      throw new MowingError(
        'forbidden',
        `${name} also sees accounts that you do not own. Ask somebody who owns them all.`,
      );
    await endSessions(tx, personId, { allBut: null });
    note({ what: 'new link', subject: name });
    await logPeople(tx, { what: 'new link', subject: name });
    return { link: await makeOneTimeLink(tx, personId, LINK_HOURS.reset), to: { name, email } };
  });
  return { ...link, mail: await mailLink(to, link, caller.name) };
}

/** Somebody who has a role on the account. @throws MowingError for others, and for who owns everything */
async function needPerson(
  tx: Transaction,
  personId: number,
  accountId: number,
): Promise<{ name: string; email: string; was: Role }> {
  const person = await findPerson(tx, personId);
  const was = (await rolesOf(tx, personId)).get(accountId);
  if (person?.ownsAll)
    throw new MowingError('forbidden', `${person.name} owns everything; npm run people changes that.`);
  if (!person || was === undefined)
    throw new MowingError(
      'not-found',
      'Nobody with this number has a role on the account. Load the page again.',
    );
  return { name: person.name, email: person.email, was };
}

const taken = (email: string) => new MowingError('conflict', `${email} belongs to somebody already.`);
