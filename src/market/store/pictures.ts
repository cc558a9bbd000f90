import { createHash } from 'node:crypto';
import { imageSize } from 'image-size';
import type { MarketOptions } from '../../contract/market';
import { checkPicture } from '../../core/changes';
import type { MarketDb } from './connection';
import { refused } from './changes/facts';
import type { Refusal } from './changes/facts';

/**
 * Keeps a picture that ads can show. The same bytes given twice are one picture.
 * @returns its id, made of its bytes; or why it is refused
 */
export async function keepPicture(sql: MarketDb, account: string, bytes: Buffer): Promise<string | Refusal> {
  const [{ options }] = await sql<{ options: MarketOptions }[]>`
    select options from quaymarket.account where account_id = ${account}`;
  if (!options.adParts) return refused('not-offered', 'Ads of this market show what the product shows.');
  const file = { ...read(bytes), bytes: bytes.length };
  const [finding] = checkPicture(file, options.adParts);
  if (finding) return finding;
  const id = createHash('sha256').update(bytes).digest('hex').slice(0, 32);
  await sql`
    insert into quaymarket.picture (account_id, id, type, bytes) values (${account}, ${id}, ${file.type!}, ${bytes})
    on conflict do nothing`;
  return id;
}

function read(bytes: Buffer): { type: string | undefined; width: number; height: number } {
  try {
    const { type, width, height } = imageSize(bytes);
    return { type, width, height };
  } catch {
    return { type: undefined, width: 0, height: 0 };
  }
}
