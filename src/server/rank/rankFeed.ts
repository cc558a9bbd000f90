import { matchForm, normaliseTerm } from '../../core/matching';
import { emptyPanel } from '../../core/rank';
import type { RankedTerm, RankFeed, RankPair, RankPanel } from '../../core/rank';
import { daysIn } from '../../core/units';
import { listRanks, listTermAds, readTermTexts } from '../../db/queries/ranks';
import { db } from '../context/context';
import { inSlices } from '../machine/inSlices';

/**
 * Ranks of a window beside the ads of the same product and term. A term's ads are those of its own spelling and of others that match alike, unless
 * these are ranked by themselves.
 */
export async function loadRankFeed(
  accountId: number,
  days: { from: string; to: string },
  only?: { productId: number; termId: number },
): Promise<RankFeed> {
  const [ranks, texts] = await Promise.all([
    listRanks(db(), accountId, days, only),
    readTermTexts(db(), accountId),
  ]);
  const termOf = await spellings(ranks, texts);
  const ads = await listTermAds(db(), accountId, [...termOf.keys()], days);
  const pairs = ranks.map((term): RankPair => ({ term, ads: [] }));
  const byKey = new Map(pairs.map((pair) => [`${pair.term.productId} ${pair.term.termId}`, pair]));
  for (const one of ads)
    for (const termId of termOf.get(one.termId) ?? []) {
      const pair = byKey.get(`${one.productId} ${termId}`);
      if (!pair) continue;
      pair.ads.push(one);
      break;
    }
  return { pairs, panel: panelOf(pairs, daysIn(days.from, days.to)), deepest: deepestOf(ranks) };
}

/** Which ranked terms a spelling may count for, the nearest first: itself, then those that match alike. */
async function spellings(
  ranks: readonly RankedTerm[],
  texts: Awaited<ReturnType<typeof readTermTexts>>,
): Promise<Map<number, number[]>> {
  const terms = new Map(ranks.map(({ termId, text }) => [termId, text]));
  const [byText, byForm] = [new Map<string, number[]>(), new Map<string, number[]>()];
  const add = (map: Map<string, number[]>, key: string, id: number) => {
    const list = map.get(key);
    if (list) list.push(id);
    else map.set(key, [id]);
  };
  for (const [id, text] of terms) {
    add(byText, normaliseTerm(text), id);
    add(byForm, matchForm(text), id);
  }
  const found = new Map<number, number[]>();
  await inSlices(texts.id.length, (at) => {
    const [id, text] = [texts.id[at], texts.text[at]];
    const alike = [
      ...(terms.has(id) ? [id] : []),
      ...(byText.get(normaliseTerm(text)) ?? []),
      ...(byForm.get(matchForm(text)) ?? []),
    ];
    if (alike.length > 0) found.set(id, [...new Set(alike)]);
  });
  return found;
}

function panelOf(pairs: readonly RankPair[], days: number): RankPanel {
  const panel = emptyPanel(pairs.length, days);
  pairs.forEach(({ term, ads }, pair) => {
    term.at.forEach((day, at) => (panel.rank[pair * days + day] = term.rank[at]));
    for (const { at, orders } of ads)
      at.forEach((day, index) => (panel.orders[pair * days + day] += orders[index]));
  });
  return panel;
}

const deepestOf = (ranks: readonly RankedTerm[]): number =>
  ranks.reduce((most, { rank }) => rank.reduce((worst, one) => Math.max(worst, one), most), 1);
