import type { AdsAnswer } from '../../contract/ads';
import { changeKey, readParts, shownBy } from '../../core/changes';
import type { AdParts } from '../../core/changes';
import { listAds, listPictures } from '../../db/queries/ads';
import { listChangeRows } from '../../db/queries/changes';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** What an account's ads show, and the pictures that they can show. */
export async function loadAds(account: number): Promise<AdsAnswer> {
  await needAccount(account);
  const [ads, pictures, staged, sending] = await Promise.all([
    listAds(db(), account),
    listPictures(db(), account),
    listChangeRows(db(), account, { state: 'staged' }),
    listChangeRows(db(), account, { state: 'sending' }),
  ]);
  const pending = new Map<string, AdParts>();
  for (const { change } of [...sending, ...staged]) {
    const shown = shownBy(change);
    if (shown) pending.set(changeKey(change), shown);
  }
  const shownIn = new Map<string, number>();
  for (const { parts } of ads)
    for (const id of readParts(parts).pictures) shownIn.set(id, (shownIn.get(id) ?? 0) + 1);
  return {
    ads: ads.map(({ parts, ...ad }) => ({
      ...ad,
      ...readParts(parts),
      pending: pending.get(keyOf(ad.id, ad.adGroupId)) ?? null,
    })),
    pictures: pictures.map((one) => ({ ...one, ads: shownIn.get(one.id) ?? 0 })),
  };
}

const keyOf = (adId: number, adGroupId: number) =>
  changeKey({ kind: 'set-ad-parts', adId, adGroupId, from: null, to: null });
