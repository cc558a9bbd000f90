import { MowingError } from '../../contract/mowingError';
import { checkPictureCount, checkTitles, shownBy } from '../../core/changes';
import type { Change } from '../../core/changes';
import { findAccount } from '../../db/queries/accounts';
import { listPictures } from '../../db/queries/ads';
import type { Query } from '../../db/connection';

/** @throws MowingError 'bad-request' when ads are to show what the market of the account does not take, with everything that is wrong */
export async function checkAdParts(tx: Query, accountId: number, changes: readonly Change[]): Promise<void> {
  const shown = changes.flatMap((change) => shownBy(change) ?? []);
  if (shown.every(({ titles, pictures }) => titles.length + pictures.length === 0)) return;
  const account = await findAccount(tx, accountId);
  const rules = account?.options?.adParts;
  if (!rules)
    throw new MowingError(
      'bad-request',
      'Ads of this market show what the product shows. Nothing was staged.',
    );
  const known = new Set((await listPictures(tx, accountId)).map(({ id }) => id));
  const wrong = shown.flatMap(({ titles, pictures }) => [
    ...[...checkTitles(titles, rules, account.limits), ...checkPictureCount(pictures, rules)].map(
      ({ sentence }) => sentence,
    ),
    ...pictures.filter((id) => !known.has(id)).map((id) => `The account has no picture ${id}.`),
  ]);
  if (wrong.length > 0)
    throw new MowingError('bad-request', `${[...new Set(wrong)].slice(0, 10).join(' ')} Nothing was staged.`);
}
