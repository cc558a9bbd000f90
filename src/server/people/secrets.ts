import { createHash, randomBytes } from 'node:crypto';

const SECRET_BYTES = 32;

/** Something that nobody guesses, and that goes into an address or a cookie as it is. */
export const newSecret = (): string => randomBytes(SECRET_BYTES).toString('base64url');

/** What is kept of a secret: who reads the database cannot come in with it. A secret of 256 bits needs no slow hash. */
export const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest();
