import type { GrainSums, LensRow } from './lensRow';
import { estimateValuePerClick, orderValueOf, usualInAccount, usualInCampaign } from '../evidence';
import type { Usual } from '../evidence';
import { dayNumber } from '../units';
import type { TreeIndex } from '../structure';
import { lensNamed } from './lens';
import type { LensName } from './lens';
import type { KnownTerm } from './knownTerms';
import { emptyLensTable, GRADES, STANDINGS, standingOf, STATES } from './lensTable';
import type { LensTable } from './lensTable';
import { rowsOfLens } from './lensRows';
import { addInto, noSumColumns, pickSums, sumOfRows, sumsAt } from './sumColumns';

/**
 * The table of a lens: its rows, their sums, what is aimed at, and how sure their sales per click are. Things that are
 * archived are shown only where they have figures. Linear in rows and sums.
 * @param terms search terms by id; needed by their lens alone
 */
export function buildLens(
  lens: LensName,
  index: TreeIndex,
  sums: GrainSums,
  terms: ReadonlyMap<number, KnownTerm> = new Map(),
): LensTable {
  const { rows, rowOf } = rowsOfLens(lens, index, sums, terms);
  const now = noSumColumns(rows.length);
  const before = noSumColumns(rows.length);
  const to = new Int32Array(sums.size);
  for (let from = 0; from < sums.size; from += 1) to[from] = rowOf(from);
  addInto(now, to, sums.now);
  addInto(before, to, sums.before);
  const kept = rows.flatMap((row, at) =>
    row.state !== 'archived' || now.impressions[at] > 0 || before.impressions[at] > 0 || now.clicks[at] > 0
      ? [at]
      : [],
  );
  const table = emptyLensTable(lens, kept.length, {
    now: pickSums(now, kept),
    before: pickSums(before, kept),
    isBeforeCovered: sums.isBeforeCovered,
  });
  kept.forEach((from, at) => fill(table, at, rows[from], index));
  if (lensNamed(lens).entity === 'product' && sums.totalSales)
    for (let at = 0; at < table.size; at += 1)
      table.totalSales[at] = sums.totalSales.get(table.productId[at]) ?? 0;
  estimate(table, usualOf(lens, index, sums, table));
  return table;
}

function fill(table: LensTable, at: number, row: LensRow, index: TreeIndex) {
  table.name[at] = row.name;
  table.place[at] = row.place;
  table.kind[at] = row.kind;
  table.termKind[at] = row.term?.kind ?? '';
  table.isNew[at] = row.term?.isNew ? 1 : 0;
  table.state[at] = STATES.indexOf(row.state);
  table.isStoppedAbove[at] = row.isStoppedAbove ? 1 : 0;
  table.targetId[at] = row.at.targetId;
  table.adGroupId[at] = row.at.adGroupId;
  table.campaignId[at] = row.at.campaignId;
  table.productId[at] = row.at.productId;
  table.lineId[at] = row.at.lineId;
  table.part[at] = row.part;
  table.value[at] = row.value ?? NaN;
  table.isInherited[at] = row.isInherited ? 1 : 0;
  const { acos, margin } = index.aimOf(row.at);
  table.targetAcos[at] = acos ?? NaN;
  table.margin[at] = margin ?? NaN;
  if (row.changedOn !== undefined) table.age[at] = dayNumber(index.tree.today) - dayNumber(row.changedOn);
}

/**
 * What is usual where a row stands: its campaign, shrunk toward the account. Rows that are no parts of one campaign are
 * judged by the account.
 */
function usualOf(
  lens: LensName,
  index: TreeIndex,
  sums: GrainSums,
  table: LensTable,
): (row: number) => Usual {
  const { campaignOf } = grainPlaces(index, sums);
  const at = new Map<number, number>();
  const to = new Int32Array(sums.size);
  for (let from = 0; from < sums.size; from += 1) {
    const id = campaignOf(from);
    const place = at.get(id) ?? at.size;
    at.set(id, place);
    to[from] = place;
  }
  const byCampaign = noSumColumns(at.size);
  addInto(byCampaign, to, sums.now);
  const account = usualInAccount(
    sumOfRows(
      byCampaign,
      Array.from({ length: at.size }, (_, place) => place),
    ),
  );
  if (lensNamed(lens).usualIn === 'account') return () => account;
  const known = new Map(
    [...at].map(([id, place]) => [id, usualInCampaign(sumsAt(byCampaign, place), account)] as const),
  );
  return (row) => known.get(table.campaignId[row]) ?? account;
}

function grainPlaces(index: TreeIndex, { campaignId, adGroupId, targetId }: GrainSums) {
  if (campaignId) return { campaignOf: (at: number) => campaignId[at] };
  if (adGroupId) return { campaignOf: (at: number) => index.placeOfAdGroup(adGroupId[at]).campaignId };
  return { campaignOf: (at: number) => index.placeOfTarget(targetId![at]).campaignId };
}

function estimate(table: LensTable, usualAt: (row: number) => Usual) {
  for (let row = 0; row < table.size; row += 1) {
    const sums = sumsAt(table.now, row);
    const usual = usualAt(row);
    table.usual[row] = usual.conversion;
    table.orderValue[row] = orderValueOf(sums, usual) ?? NaN;
    const value = estimateValuePerClick(sums, usual);
    if (value) {
      table.rpc[row] = value.mean;
      table.rpcLow[row] = value.low;
      table.rpcHigh[row] = value.high;
      table.grade[row] = GRADES.indexOf(value.grade);
    }
    const { rpcLow: low, rpcHigh: high, grade, targetAcos } = table;
    table.standing[row] = STANDINGS.indexOf(
      value
        ? standingOf(sums, { low: low[row], high: high[row], isThin: grade[row] === 0 }, targetAcos[row])
        : 'early',
    );
  }
}
