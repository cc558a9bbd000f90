import { MowingError } from '../../contract/mowingError';

/** A request of which nothing more comes is given up after so long: MOWING_UPLOAD_IDLE_S, 60 unless told otherwise. */
const idleMs = () => 1000 * (Number(process.env.MOWING_UPLOAD_IDLE_S) || 60);
const LOOK_AGAIN_MS = 200;
/** What is read, unseen, of a body that nobody wants, before the connection is closed instead. */
const MOST_UNSEEN_BYTES = 4_000_000_000;

/**
 * The bytes of a request, as they come. Leaving off in the middle closes nothing: a connection that is closed while the other side
 * still sends looks like a failure to a browser, which then sends everything again.
 */
class Body {
  private readonly reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
  private hasEnded: boolean;
  /** Whether nothing more came in time: then the connection is of no more use. */
  private isStalled = false;
  /** Whether it says itself that it is longer than is read unseen. */
  private readonly isEndless: boolean;

  constructor(request: Request) {
    this.isEndless = Number(request.headers.get('content-length')) > MOST_UNSEEN_BYTES;
    this.reader = request.body?.getReader();
    this.hasEnded = this.reader === undefined;
  }

  /** The next bytes; null at the end. @throws MowingError when none came for too long */
  private async next(): Promise<Uint8Array | null> {
    if (this.hasEnded) return null;
    if (this.isStalled) throw STALLED();
    let timer: NodeJS.Timeout | undefined;
    const wait = (ms: number) =>
      new Promise<'idle'>((resolve) => (timer = setTimeout(() => resolve('idle'), ms)));
    try {
      const read = this.reader!.read();
      let part = await Promise.race([read, wait(idleMs())]);
      // A program that was busy itself finds the timer first: what came meanwhile is looked at before it is believed.
      if (part === 'idle') part = await Promise.race([read, wait(LOOK_AGAIN_MS)]);
      if (part === 'idle') {
        this.isStalled = true;
        throw STALLED();
      }
      if (!part.done) return part.value;
      this.hasEnded = true;
      return null;
    } catch (error) {
      this.isStalled = true;
      throw error;
    } finally {
      clearTimeout(timer);
    }
  }

  async *parts(): AsyncGenerator<Uint8Array> {
    for (let part = await this.next(); part !== null; part = await this.next()) yield part;
  }

  /** Reads what is left. @returns whether its end was reached; if not, the connection has to be closed behind the answer */
  async drain(): Promise<boolean> {
    if (this.isEndless && !this.hasEnded) return false;
    try {
      let bytes = 0;
      for (let part = await this.next(); part !== null; part = await this.next()) {
        bytes += part.length;
        if (bytes > MOST_UNSEEN_BYTES) return false;
      }
      return true;
    } catch {
      return false;
    }
  }
}

const STALLED = () =>
  new MowingError(
    'bad-request',
    `Nothing more of the upload came for ${idleMs() / 1000} s. Nothing of it was kept. Send it again.`,
  );

const bodies = new WeakMap<Request, Body>();
const of = (request: Request): Body => {
  const known = bodies.get(request) ?? new Body(request);
  bodies.set(request, known);
  return known;
};

/** The bytes of a request's body; none where it has none. @throws MowingError while they are read, when no more come */
export const bodyOf = (request: Request): AsyncIterable<Uint8Array> => of(request).parts();

/** Reads what is left of a request's body, so that its sender hears the answer. @returns false when that is too much, or none comes */
export const drainBody = (request: Request): Promise<boolean> => of(request).drain();
