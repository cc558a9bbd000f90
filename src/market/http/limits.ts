/** A bucket of requests: so many at once, refilled by so many a second. */
export class Bucket {
  private left: number;
  private at: number;

  constructor(
    private readonly most: number,
    private readonly perSecond: number,
    now = Date.now(),
  ) {
    this.left = most;
    this.at = now;
  }

  /** Takes one request. @returns 0 when there was one, else the seconds until there is */
  take(now = Date.now()): number {
    this.left = Math.min(this.most, this.left + ((now - this.at) / 1000) * this.perSecond);
    this.at = now;
    if (this.left < 1) return Math.max(1, Math.ceil((1 - this.left) / this.perSecond));
    this.left -= 1;
    return 0;
  }
}
