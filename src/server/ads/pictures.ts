import { imageSize } from 'image-size';
import type { AdsAnswer, PictureRequest } from '../../contract/ads';
import { MowingError } from '../../contract/mowingError';
import { checkPicture } from '../../core/changes';
import type { PictureFile } from '../../core/changes';
import { insertPicture, readPicture, removePicture } from '../../db/queries/ads';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { market } from '../market/market';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { loadAds } from './ads';

/** Whatever a market takes, more is no picture of an ad. */
const MOST_BYTES = 5_000_000;

/**
 * Takes in a picture that ads can show: the market is given it, and both know it by the same id.
 * @throws MowingError 'unreadable-file' for a file that the market would refuse, with everything that is wrong
 */
export async function addPicture(
  caller: Caller,
  { account, name }: { account: number; name: string },
  body: AsyncIterable<Uint8Array>,
): Promise<AdsAnswer> {
  const { options, marketId } = await needAccount(account);
  if (!options?.adParts || marketId === null)
    throw new MowingError('bad-request', 'Ads of this market show what the product shows.');
  const bytes = await wholeOf(body, name);
  const file = fileOf(bytes);
  const findings = checkPicture(file, options.adParts);
  if (findings.length > 0)
    throw new MowingError(
      'unreadable-file',
      `“${name}”: ${findings.map(({ sentence }) => sentence).join(' ')} Nothing was added.`,
    );
  const id = await market().givePicture(marketId, bytes);
  await recorded(caller, account, async (tx, note) => {
    const { type, width, height } = file;
    await insertPicture(tx, account, { id, name, type: type!, width, height, bytes });
    note({ what: 'add picture', subject: name });
  });
  return loadAds(account);
}

async function wholeOf(body: AsyncIterable<Uint8Array>, name: string): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  let size = 0;
  for await (const part of body) {
    size += part.length;
    if (size > MOST_BYTES)
      throw new MowingError(
        'unreadable-file',
        `“${name}” has more than ${MOST_BYTES / 1e6} MB. Nothing was added.`,
      );
    parts.push(part);
  }
  return Buffer.concat(parts);
}

function fileOf(bytes: Buffer): PictureFile {
  try {
    const { type, width, height } = imageSize(bytes);
    return { type, width, height, bytes: bytes.length };
  } catch {
    return { type: undefined, width: 0, height: 0, bytes: bytes.length };
  }
}

/** Takes a picture out of what can be chosen, or back; ads that show it go on. */
export async function putPicture(
  caller: Caller,
  { account, id, isRemoved }: PictureRequest,
): Promise<AdsAnswer> {
  await needAccount(account);
  await recorded(caller, account, async (tx, note) => {
    if (!(await removePicture(tx, account, id, isRemoved)))
      throw new MowingError('not-found', `The account has no picture ${id}.`);
    note({ what: isRemoved ? 'remove picture' : 'take picture back', subject: id });
  });
  return loadAds(account);
}

/** @throws MowingError 'not-found' */
export async function pictureFile(account: number, id: string): Promise<Response> {
  const picture = await readPicture(db(), account, id);
  if (!picture) throw new MowingError('not-found', `The account has no picture ${id}.`);
  return new Response(new Blob([picture.bytes]), {
    // Its id is made of its bytes: what it shows never changes.
    headers: {
      'content-type': picture.type === 'png' ? 'image/png' : 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  });
}
