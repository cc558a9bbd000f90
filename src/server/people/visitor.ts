import { NOBODY, RIGHTS, RIGHTS_OF } from '../../contract/people';
import type { Right, Role } from '../../contract/people';
import { findToken } from '../../db/queries/apiTokens';
import { rolesOf } from '../../db/queries/people';
import { findSession, touchSession } from '../../db/queries/sessions';
import { db, log } from '../context/context';
import { isClosed } from './openness';
import { hashOf } from './secrets';

/** Whoever asks, before it is known about which account. */
export interface Visitor {
  name: string;
  /** By which requests are counted; null: they are not. */
  key: string | null;
  /** Null: a script, or everybody, where nobody signs in. */
  person: { id: number; name: string; email: string; ownsAll: boolean; sessionId: number } | null;
  /** Whether it may make accounts, and owns them all. */
  ownsAll: boolean;
  /** What it may do on an account; null: it does not learn whether there is one. */
  rightsOn: (accountId: number) => readonly Right[] | null;
}

/** Everybody who reaches an application that nobody has to sign in to. */
export const ANYBODY: Visitor = {
  name: NOBODY,
  key: null,
  person: null,
  ownsAll: true,
  rightsOn: () => RIGHTS,
};

/** Which accounts somebody owns. */
export const ownedBy =
  (visitor: Visitor | null) =>
  (accountId: number): boolean =>
    visitor?.rightsOn(accountId)?.includes('own') === true;

export const SESSION_COOKIE = 'mowing-session';
export const TOKEN_START = 'mowing_';

/** Who asks; null: it has to sign in first. */
export async function visitorOf(headers: Headers): Promise<Visitor | null> {
  return (await known(headers)) ?? ((await isClosed()) ? null : ANYBODY);
}

/** Whoever shows a token or a session that has not ended. */
async function known(headers: Headers): Promise<Visitor | null> {
  const key = /^Bearer (.+)$/.exec(headers.get('authorization') ?? '')?.[1];
  if (key !== undefined) return ofToken(key);
  const secret = cookieOf(headers, SESSION_COOKIE);
  return secret === undefined ? null : ofSession(secret);
}

async function ofSession(secret: string): Promise<Visitor | null> {
  const found = await findSession(db(), hashOf(secret));
  if (!found) return null;
  const { id, name, email, ownsAll, sessionId, isStale } = found;
  if (isStale)
    void touchSession(db(), sessionId).catch((error: unknown) => log().warn({ err: error }, 'not noted'));
  const person = { id, name, email, ownsAll, sessionId };
  const key = `person ${id}`;
  if (ownsAll) return { name, key, person, ownsAll, rightsOn: () => RIGHTS };
  const roles = await rolesOf(db(), id);
  return { name, key, person, ownsAll, rightsOn: (account) => rightsOf(roles.get(account)) };
}

async function ofToken(key: string): Promise<Visitor | null> {
  const found = key.startsWith(TOKEN_START) ? await findToken(db(), hashOf(key)) : undefined;
  if (!found) return null;
  const { id, name, role, accountIds } = found;
  return {
    name: `token ${name}`,
    key: `token ${id}`,
    person: null,
    ownsAll: false,
    rightsOn: (account) => rightsOf(accountIds.includes(account) ? role : undefined),
  };
}

const rightsOf = (role: Role | undefined) => (role === undefined ? null : RIGHTS_OF[role]);

/** A cookie of a request; undefined where it carries none of that name. */
export function cookieOf(headers: Headers, name: string): string | undefined {
  for (const one of (headers.get('cookie') ?? '').split(';')) {
    const [key, ...value] = one.trim().split('=');
    if (key === name) return value.join('=');
  }
  return undefined;
}
