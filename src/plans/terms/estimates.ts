import { normaliseTerm } from '../../core/matching';
import type { TermContext } from '../../core/terms';
import type { Estimates } from './types';

/** Campaign and ad group of every row, normalised, for conditions on the place. */
export function placeTexts({ table, structure }: TermContext): string[] {
  const known = new Map<number, string>();
  return Array.from(table.adGroupId, (id, row) => {
    let text = known.get(id);
    if (text === undefined) {
      text = normaliseTerm(
        `${structure.campaign(table.campaignId[row])?.name} ${structure.adGroup(id)?.name}`,
      );
      known.set(id, text);
    }
    return text;
  });
}

const GRADES = { thin: 0, fair: 1, strong: 2 };

/** Sales per click of every row with their interval, for the picture. */
export function estimate(context: TermContext): Estimates {
  const { size } = context.table;
  const estimates: Estimates = {
    rpc: new Float64Array(size),
    low: new Float64Array(size),
    high: new Float64Array(size),
    grade: new Uint8Array(size),
  };
  for (let row = 0; row < size; row += 1) {
    const value = context.value(row);
    if (!value) continue;
    estimates.rpc[row] = value.mean;
    estimates.low[row] = value.low;
    estimates.high[row] = value.high;
    estimates.grade[row] = GRADES[value.grade];
  }
  return estimates;
}
