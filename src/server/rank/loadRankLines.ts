import type { RankLinesAnswer } from '../../contract/rank';
import { matchForm } from '../../core/matching';
import { addDays, daysIn } from '../../core/units';
import { findRankDays, listRanks, readTermTexts } from '../../db/queries/ranks';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

const DAYS = 90;
const MOST_LINES = 3;

/** Ranks of a product over the last days: of a term as it is matched, or of the three that are searched most. */
export async function loadRankLines(
  accountId: number,
  productId: number,
  termId?: number,
): Promise<RankLinesAnswer> {
  await needAccount(accountId);
  const told = await findRankDays(db(), accountId);
  if (!told) return { from: '', lines: [] };
  const days = { from: [addDays(told.to, 1 - DAYS), told.from].sort()[1], to: told.to };
  const ranks = await listRanks(db(), accountId, days, { productId });
  const asked =
    termId === undefined ? null : matchForm((await readTermTexts(db(), accountId, [termId])).text[0] ?? '');
  const count = daysIn(days.from, days.to);
  const lines = ranks
    .filter(({ text }) => asked === null || matchForm(text) === asked)
    .sort((a, b) => b.searches.at(-1)! - a.searches.at(-1)!)
    .slice(0, MOST_LINES)
    .map(({ text, at, rank }) => {
      const line = new Array<number | null>(count).fill(null);
      at.forEach((day, index) => (line[day] = rank[index]));
      return { term: text, rank: line };
    });
  return { from: days.from, lines };
}
