/** What somebody may do: look at figures; decide (tray, notes, choices, goals, lists); send to a market; bring data in; own it (people, costs, rules that send by themselves, money). */
export const RIGHTS = ['see', 'decide', 'send', 'set up', 'own'] as const;
export type Right = (typeof RIGHTS)[number];

/** What somebody is on an account, from little to much. */
export const ROLES = ['reads', 'decides', 'sends', 'owns'] as const;
export type Role = (typeof ROLES)[number];

/** What a role lets do. */
export const RIGHTS_OF: Readonly<Record<Role, readonly Right[]>> = {
  reads: ['see'],
  decides: ['see', 'decide'],
  sends: ['see', 'decide', 'send', 'set up'],
  owns: RIGHTS,
};

/** What the trail calls whoever works where nobody signs in. */
export const NOBODY = 'this machine';

/** A role in words, for those who give it. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  reads: 'sees all figures, changes nothing',
  decides: 'stages changes, keeps notes and targets',
  sends: 'sends changes to the market, brings data in',
  owns: 'also costs, money, people, and rules that send by themselves',
};

/** Somebody, as she stands to an account. */
export interface PersonInfo {
  id: number;
  name: string;
  email: string;
  role: Role;
  /** Owns every account, those to come too. */
  ownsAll: boolean;
  /** Has chosen a password. */
  isIn: boolean;
  /** When she was last here; null: never. */
  seenAt: string | null;
}

/** Where somebody is signed in. */
export interface SessionInfo {
  id: number;
  madeAt: string;
  seenAt: string;
  address: string;
  browser: string;
  isThis: boolean;
}

/** A passkey, without what it is checked by. */
export interface PasskeyInfo {
  id: number;
  name: string;
  madeAt: string;
  usedAt: string | null;
}

/** Codes of an app, asked for beside the password. */
export interface CodesInfo {
  /** Null: none are asked for. */
  onSince: string | null;
}

/** What an app works codes out of: shown this once. */
export interface NewCodes {
  secret: string;
  /** The same as an address that apps read from a picture. */
  address: string;
}

/** A key for scripts, without the key. */
export interface TokenInfo {
  id: number;
  name: string;
  role: Role;
  /** Who made it. */
  by: string;
  endsOn: string;
  usedAt: string | null;
}

/** Who asks. */
export interface Me {
  /** Null: nobody signs in here yet. */
  person: { id: number; name: string; email: string; ownsAll: boolean } | null;
}

/** A line of the trail of an account. */
export interface TrailLine {
  id: number;
  at: string;
  by: string;
  what: string;
  subject: string;
  /** What the subject is called now; null: it names itself, or has gone. */
  name: string | null;
  from: unknown;
  to: unknown;
  /** Of a line that is about changes: how many, and what the first of them were; null of others. */
  changes: { words: string[]; count: number } | null;
}

export interface TrailAnswer {
  lines: TrailLine[];
  /** Whether there are older ones. */
  isCut: boolean;
}

export interface PeopleAnswer {
  people: PersonInfo[];
  tokens: TokenInfo[];
  log: { at: string; by: string; what: string; subject: string; address: string }[];
}

/** A link that lets somebody choose a password, once: shown to whoever made it, kept nowhere. */
export interface OneTimeLink {
  path: string;
  until: string;
  /** Whether it was mailed to whom it is for; off: no mail server is known, or a command made it. */
  mail: 'sent' | 'failed' | 'off';
}

/** Least characters of a password. */
export const LEAST_PASSWORD = 12;
export const MOST_PASSWORD = 200;
