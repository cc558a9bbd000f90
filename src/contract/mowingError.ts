/** Kinds of trouble; callers branch on the code, never on the text. */
export type ErrorCode =
  | 'bad-request'
  | 'not-found'
  | 'foreign-origin'
  | 'forbidden'
  | 'not-signed-in'
  | 'code-wanted'
  | 'too-many'
  | 'conflict'
  | 'too-large'
  | 'unreadable-file'
  | 'market-down'
  | 'market-refused'
  | 'no-room'
  | 'busy'
  | 'internal';

const STATUS: Record<ErrorCode, number> = {
  'bad-request': 400,
  'not-found': 404,
  'foreign-origin': 403,
  forbidden: 403,
  'not-signed-in': 401,
  'code-wanted': 401,
  'too-many': 429,
  conflict: 409,
  'too-large': 413,
  'unreadable-file': 422,
  'market-down': 503,
  'market-refused': 502,
  'no-room': 507,
  busy: 503,
  internal: 500,
};

/** A fault that can be told to the user: what happened, to which thing, what to do. */
export class MowingError extends Error {
  readonly code: ErrorCode;
  /** One entry for each thing that is wrong, with where it is. */
  readonly faults: { where: string; what: string }[];

  /** When it may be tried again, seconds from now. */
  readonly retryAfterS?: number;

  constructor(
    code: ErrorCode,
    message: string,
    faults: { where: string; what: string }[] = [],
    retryAfterS?: number,
  ) {
    super(message);
    this.name = 'MowingError';
    this.code = code;
    this.faults = faults;
    this.retryAfterS = retryAfterS ?? (code === 'busy' ? 2 : undefined);
  }

  get status(): number {
    return STATUS[this.code];
  }
}
