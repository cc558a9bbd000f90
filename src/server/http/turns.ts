import { MowingError } from '../../contract/mowingError';

interface TurnLimits {
  /** Requests that are worked on at once. */
  atOnce: number;
  /** Requests that wait, at most. */
  waiting: number;
  /** How long one waits, at most. */
  patienceMs: number;
}

/**
 * Lets a few requests at once do what is heavy; some wait in their order, the rest is told to come back. A client that has left loses its
 * place.
 */
export class Turns {
  private free: number;
  private readonly queue: (() => void)[] = [];
  private readonly limits: TurnLimits;

  constructor(limits: TurnLimits) {
    this.limits = limits;
    this.free = limits.atOnce;
  }

  /** Does `work` when its turn has come. @throws MowingError 'busy' when that would take too long */
  async take<T>(signal: AbortSignal, work: () => Promise<T>): Promise<T> {
    if (this.free > 0) this.free -= 1;
    else await this.wait(signal);
    try {
      return await work();
    } finally {
      const next = this.queue.shift();
      if (next) next();
      else this.free += 1;
    }
  }

  private wait(signal: AbortSignal): Promise<void> {
    const { waiting, patienceMs } = this.limits;
    if (this.queue.length >= waiting) throw BUSY();
    return new Promise((resolve, reject) => {
      const leave = () => {
        this.queue.splice(this.queue.indexOf(enter), 1);
        settle();
        reject(BUSY());
      };
      const timer = setTimeout(leave, patienceMs);
      const settle = () => {
        clearTimeout(timer);
        signal.removeEventListener('abort', leave);
      };
      const enter = () => {
        settle();
        resolve();
      };
      signal.addEventListener('abort', leave, { once: true });
      this.queue.push(enter);
    });
  }
}

const BUSY = () =>
  new MowingError(
    'busy',
    'Mowing has more to do at once than it can. Nothing was changed. Try again in a moment.',
  );
