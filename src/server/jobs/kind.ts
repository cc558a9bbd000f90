import type { JobRow } from '../../db/queries/jobs';
import type { Progress } from '../sync/syncAccount';

/** What a running job is given. */
export interface JobAt<Input> {
  accountId: number;
  input: Input;
  /** Tells how far it is. @throws when the job is to stop, or another process has taken it over: let it pass */
  tell: (at: Progress) => Promise<void>;
  /** Keeps what a second try has to know. */
  keepInput: (input: Input) => Promise<void>;
}

/** A kind of job: a file that exports one of these, and a line in the registry. */
export interface JobKind<Input extends object = object> {
  name: string;
  /** Does the work. @returns what it came to, in a sentence */
  run: (at: JobAt<Input>) => Promise<string>;
  /** Tries in all, and the pause before the second in seconds; each further pause is twice as long. */
  tries: number;
  firstPauseS: number;
  /** The hour of the account's day at which it is due by itself; null: when it is asked for. */
  dailyAt: number | null;
}

/** A job stops where it is: it was cancelled, or belongs to another process by now. */
export class JobStopped extends Error {
  readonly why: 'cancelled' | 'lost';

  constructor(why: 'cancelled' | 'lost', row: JobRow) {
    super(`job ${row.jobId} is ${why}`);
    this.why = why;
  }
}
