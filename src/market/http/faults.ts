/**
 * What can go wrong when asked for, each once: nothing is answered (503), an error (500), too many requests (429), a slow
 * answer, a batch that fails in the middle, a batch that is carried out but its answer lost, a report without its
 * first day, a report file cut off.
 */
export const FAULTS = [
  'unavailable',
  'error',
  'too-many',
  'slow',
  'fail-mid-batch',
  'drop-after-commit',
  'missing-day',
  'truncated-file',
] as const;
export type Fault = (typeof FAULTS)[number];

/** Faults waiting for their turn, in the order in which they were asked for. */
export class FaultList {
  private list: Fault[] = [];

  set(faults: Fault[]): void {
    this.list = [...faults];
  }

  /** Whether the next fault is one of these; then it is used up. */
  take(...wanted: Fault[]): Fault | null {
    const [next] = this.list;
    if (next === undefined || !wanted.includes(next)) return null;
    this.list.shift();
    return next;
  }

  get waiting(): readonly Fault[] {
    return this.list;
  }
}
