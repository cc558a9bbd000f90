import { spawn } from 'node:child_process';
import path from 'node:path';
import { createInterface } from 'node:readline';
import type { PlayAsked, PlayLine, PlayTold } from '../../../core/played';
import { log } from '../../context/context';

/** Where the program that plays lies, in the folder that programs are started in. */
const PROGRAM = path.resolve('dist/programs/played.mjs');

/**
 * Plays in a program of its own, so that this one answers meanwhile.
 * @param tell is told how far it is; where it throws, the play ends
 * @throws whatever `tell` throws; Error when the program ends without an answer
 */
export async function playApart(
  asked: PlayAsked,
  tell: (done: number, of: number) => Promise<void>,
): Promise<PlayTold> {
  const child = spawn(process.execPath, [PROGRAM], { stdio: ['pipe', 'pipe', 'pipe'] });
  const ended = new Promise<number | null>((resolve, reject) => {
    child.once('error', reject);
    child.once('close', resolve);
  });
  let trouble = '';
  child.stderr.on('data', (text: Buffer) => (trouble = `${trouble}${text.toString()}`.slice(-2000)));
  // A program that dies before it has read what it was asked is told of by its end.
  child.stdin.on('error', (error) => log().debug({ err: error }, 'play'));
  child.stdin.end(JSON.stringify(asked));
  try {
    for await (const line of createInterface({ input: child.stdout })) {
      const read = JSON.parse(line) as PlayLine;
      if ('told' in read) return read.told;
      await tell(read.done, read.of);
    }
    throw new Error(`the play ended with ${await ended}: ${trouble}`);
  } finally {
    child.kill('SIGKILL');
    await ended.catch(() => null);
  }
}
