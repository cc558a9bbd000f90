import { arrangeRows } from '../../core/conditions';
import { orderByNumbers } from '../../core/order';
import type { KeptLens } from '../field';
import type { ArrangedCampaigns, CampaignRowsAsked } from './types';

/**
 * The rows of a step over campaigns, in order, and how much there is to do.
 * @param stakes money at stake by row, micros a month
 * @param isProposed whether something is proposed for a row
 */
export function arrangeCampaigns(
  { table, reader, loadId }: KeptLens,
  { show, conditions, sort, ...handled }: CampaignRowsAsked,
  stakes: ArrayLike<number>,
  isProposed: (row: number) => boolean,
): ArrangedCampaigns {
  const [staged, aside] = [new Set(handled.staged), new Set(handled.aside)];
  const all = Int32Array.from({ length: table.size }, (_, row) => row);
  const queue = all.filter(
    (row) => isProposed(row) && !staged.has(table.campaignId[row]) && !aside.has(table.campaignId[row]),
  );
  const candidates =
    show === 'proposed'
      ? queue
      : show === 'aside'
        ? all.filter((row) => aside.has(table.campaignId[row]))
        : all;
  const kept = arrangeRows(reader, candidates, conditions, []);
  const { by, descending } = sort ?? { by: 'stake', descending: true };
  const rows =
    by === 'stake'
      ? orderByNumbers(
          kept,
          Float64Array.from(stakes, (stake) => (descending ? -stake : stake)),
        )
      : arrangeRows(reader, kept, [], [{ by, descending }]);
  return {
    loadId,
    rows,
    left: queue.length,
    money: queue.reduce((sum, row) => sum + stakes[row], 0),
    all: table.size,
  };
}
