import { open, unlink, mkdir } from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { dataDir } from '../machine/dataDir';
import { needMemory } from '../machine/memory';
import { needRoom } from '../machine/room';
import { bodyOf } from './bodyOf';

/** A file that comes in: it is put on disk as fast as its sender sends, and read from there as fast as its reader reads. */
export interface Upload {
  source: AsyncIterable<Uint8Array>;
  /** Waits until all of it is here. @throws when it was cut off, or stalled */
  whole: () => Promise<void>;
}

const READ_BYTES = 1 << 18;

/**
 * Takes in the body of a request while `work` reads it. Whatever needs a lock waits for `whole`: a sender that stalls keeps nobody
 * else waiting. What nobody reads any more is let run to its end, so that the sender hears the answer.
 * @param bytes its length, when it is known
 * @throws MowingError 'no-room' when the disk has no room for it
 */
export async function withUpload<T>(
  request: Request,
  bytes: number | null,
  work: (upload: Upload) => Promise<T>,
): Promise<T> {
  needMemory();
  await needRoom(bytes);
  const file = await openUnnamed();
  const spool = new Spool(file, bodyOf(request));
  try {
    return await work({ source: spool.parts(), whole: () => spool.whole });
  } finally {
    await spool.leave();
    await file.close();
  }
}

/** A file without a name: gone with the program, whatever happens to that. */
async function openUnnamed(): Promise<FileHandle> {
  const folder = path.join(dataDir(), 'uploads');
  await mkdir(folder, { recursive: true });
  const name = path.join(folder, randomUUID());
  const file = await open(name, 'wx+', 0o600);
  await unlink(name);
  return file;
}

class Spool {
  readonly whole: Promise<void>;
  private written = 0;
  private end: 'open' | 'whole' | { error: unknown } = 'open';
  private isWanted = true;
  private tell = () => {};
  private told = Promise.resolve();
  private readonly file: FileHandle;

  constructor(file: FileHandle, body: AsyncIterable<Uint8Array>) {
    this.file = file;
    this.renew();
    this.whole = this.take(body);
    this.whole.catch(() => {}); // told to whoever waits for it
  }

  private renew() {
    const { tell } = this;
    this.told = new Promise((resolve) => (this.tell = resolve));
    tell();
  }

  private async take(body: AsyncIterable<Uint8Array>): Promise<void> {
    try {
      for await (const part of body) {
        if (!this.isWanted) continue;
        await this.file.write(part, 0, part.length, this.written);
        this.written += part.length;
        this.renew();
      }
      this.end = 'whole';
    } catch (error) {
      this.end = { error };
      throw error;
    } finally {
      this.renew();
    }
  }

  async *parts(): AsyncGenerator<Uint8Array> {
    for (let at = 0; ;) {
      const { told, end } = this;
      if (at < this.written) {
        const room = Buffer.allocUnsafe(Math.min(READ_BYTES, this.written - at));
        const { bytesRead } = await this.file.read(room, 0, room.length, at);
        at += bytesRead;
        yield room.subarray(0, bytesRead);
      } else if (end === 'open') await told;
      else if (end === 'whole') return;
      else throw end.error;
    }
  }

  /** Nobody reads any more. Waits for the sender's end. */
  async leave(): Promise<void> {
    this.isWanted = false;
    await this.whole.catch(() => {});
  }
}
