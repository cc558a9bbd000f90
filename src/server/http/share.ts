import { RateLimiterMemory } from 'rate-limiter-flexible';
import { MowingError } from '../../contract/mowingError';
import type { Visitor } from '../people/visitor';

const MINUTE_S = 60;
/** Many people of one office come from one address. */
const PEOPLE_AN_ADDRESS = 5;

/** How much may be asked for in a minute; counted by this process alone: several share nothing, and each grants as much. */
export class Shares {
  private readonly ofPerson: RateLimiterMemory;
  private readonly ofAddress: RateLimiterMemory;

  /** @param perPerson requests a minute of one person or one token */
  constructor(perPerson: number) {
    this.ofPerson = new RateLimiterMemory({ points: perPerson, duration: MINUTE_S });
    this.ofAddress = new RateLimiterMemory({ points: perPerson * PEOPLE_AN_ADDRESS, duration: MINUTE_S });
  }

  /**
   * Counts a request to the address that it comes from, before anybody is looked up for it.
   * @param isClosed whether people sign in: where nobody does, only this machine comes in, and nothing is refused
   * @throws MowingError 'too-many'
   */
  async takeOfAddress(address: string, isClosed: () => Promise<boolean>): Promise<void> {
    const seconds = await secondsOver(this.ofAddress, address);
    if (seconds > 0 && (await isClosed())) throw tooMuch('From your address', this.ofAddress, seconds);
  }

  /** Counts a request to whoever asks. @throws MowingError 'too-many' */
  async takeOwn({ name, key }: Pick<Visitor, 'name' | 'key'>): Promise<void> {
    const seconds = key === null ? 0 : await secondsOver(this.ofPerson, key);
    if (seconds > 0) throw tooMuch(`As ${name}`, this.ofPerson, seconds);
  }
}

/** MOWING_REQUESTS_A_MINUTE, 1,200 unless told otherwise: a page asks some thirty times, and scrolling some times a second. */
const perPerson = () => Number(process.env.MOWING_REQUESTS_A_MINUTE) || 1200;
let kept: Shares | undefined;

/** What this process grants. */
export const shares = (): Shares => (kept ??= new Shares(perPerson()));

/** Seconds until more may be asked; 0: it may be asked now. */
const secondsOver = (limiter: RateLimiterMemory, key: string): Promise<number> =>
  limiter.consume(key).then(
    () => 0,
    (left: { msBeforeNext: number }) => Math.max(1, Math.ceil(left.msBeforeNext / 1000)),
  );

const tooMuch = (where: string, { points }: RateLimiterMemory, seconds: number) =>
  new MowingError(
    'too-many',
    `${where} more is asked for in a minute than Mowing answers (${points} requests). Go on in ${seconds} s.`,
    [],
    seconds,
  );
