import { ACOS_CAUSES, acosChange, addedToAcos, causesInTenths } from '../../../core/measures';
import type { AcosCause } from '../../../core/measures';
import { formatShare } from '../../../core/units';
import { columns, groupsOf, text } from '../reportAt';
import type { GroupSums, MakePart } from '../reportAt';

const CAUSES: Record<AcosCause, [what: string, means: string]> = {
  cpc: ['Price per click', 'clicks cost more or less'],
  conversion: ['Conversion', 'clicks sold more or less often'],
  orderValue: ['Order value', 'orders were larger or smaller'],
  mix: ['Mix', 'sales moved between campaigns of another ACOS'],
  once: ['Sold in one period alone', 'campaigns that are new, ended, or sold nothing in one of the two'],
};

/** What moved the ACOS, in points that add up: of the account, and of each product line. */
export const why: MakePart = async (at) => {
  const campaigns = await groupsOf(at, 'campaign');
  const change = acosChange(campaigns);
  if (!change) return [text('A period without ad sales has no ACOS, so there is nothing to take apart.')];
  const { total, causes } = causesInTenths(change);
  const lines = await groupsOf(at, 'line');
  return [
    text(
      `The ACOS went from ${formatShare(change.before)} to ${formatShare(change.now)}. Campaign by campaign, that comes from:`,
    ),
    {
      kind: 'table',
      name: 'Causes',
      columns: columns(['Cause'], ['What it means'], ['Adds', 'points']),
      rows: ACOS_CAUSES.map((key) => [CAUSES[key][0], CAUSES[key][1], causes[key]]),
      total: ['All', '', total],
    },
    ...byLine(lines),
  ];
};

/** What each product line added: its own ACOS, and its share of the sales. */
function byLine(lines: readonly GroupSums[]) {
  const change = acosChange(lines);
  if (!change || lines.length < 2) return [];
  const parts = lines.map((line) => ({
    name: line.name === '' ? 'without a product line' : line.name,
    added: addedToAcos(line, lines),
  }));
  return [
    {
      kind: 'table' as const,
      name: 'By product line',
      columns: columns(['Product line'], ['ACOS before', 'share'], ['ACOS', 'share'], ['Adds', 'points']),
      rows: parts.map(({ name, added }, row) => [
        name,
        ratio(lines[row].before),
        ratio(lines[row].now),
        added,
      ]),
      total: ['All', change.before, change.now, change.now - change.before],
    },
  ];
}

const ratio = ({ spend, sales }: { spend: number; sales: number }) => (sales > 0 ? spend / sales : null);
