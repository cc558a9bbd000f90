import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Turns } from '../http/turns';

const work = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(
  scrypt as never,
);

/** What a hash costs: N = 2^16, r = 8, p = 2, which takes 64 MB and some tenths of a second (RFC 7914; the least that OWASP names for scrypt). */
const COST = { N: 2 ** 16, r: 8, p: 2 };
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** Each takes 64 MB and a core: few at once, whoever tries to come in. */
const turns = new Turns({ atOnce: 2, waiting: 40, patienceMs: 20_000 });

async function keyOf(password: string, salt: Buffer, cost: typeof COST): Promise<Buffer> {
  const options = { ...cost, maxmem: 256 * cost.N * cost.r };
  return turns.take(AbortSignal.timeout(60_000), () =>
    work(password.normalize('NFKC'), salt, KEY_BYTES, options),
  );
}

/** What is kept of a password: how it was worked out, the salt and the key. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await keyOf(password, salt, COST);
  const { N, r, p } = COST;
  return ['scrypt', N, r, p, salt.toString('base64url'), key.toString('base64url')].join(':');
}

/**
 * Whether a password is the one that was kept. Where none was, as much time passes: how long an answer takes tells nobody whether a person
 * exists.
 */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  const [, N, r, p, salt, key] = (kept ?? '').split(':');
  const cost = kept === null ? COST : { N: Number(N), r: Number(r), p: Number(p) };
  const wanted = kept === null ? Buffer.alloc(KEY_BYTES) : Buffer.from(key, 'base64url');
  const got = await keyOf(
    password,
    kept === null ? Buffer.alloc(SALT_BYTES) : Buffer.from(salt, 'base64url'),
    cost,
  );
  return timingSafeEqual(got, wanted) && kept !== null;
}
