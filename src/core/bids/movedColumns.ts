import { pickNumbers } from '../order';
import { STEPPED } from './proposalColumns';
import type { AimedColumns, ProposalColumns, SteppedColumns } from './proposalColumns';

/** What another pace makes anew, of the rows alone that do not stay as they are: most of a large account's do. */
export interface MovedColumns {
  rows: Int32Array;
  /** By name, in the order of the rows. */
  numbers: Record<(typeof STEPPED)[number], Float64Array>;
  /** Of all rows. */
  step: Uint8Array;
  left: Uint8Array;
  isSecondStep: Uint8Array;
}

/** What stands in a column where a target stays as it is: a number, or that of another column. */
const AT_REST: Record<(typeof STEPPED)[number], keyof AimedColumns | number> = {
  to: 'from',
  cpcAfter: 'cpc',
  afterClicks: 'nowClicks',
  afterSpend: 'nowSpend',
  afterSales: 'nowSales',
  freedClicks: 0,
  freedSpend: 0,
  freedSales: 0,
  testGain: NaN,
  testChance: 0,
  testCost: 0,
};

const restOf = (aimed: AimedColumns, name: (typeof STEPPED)[number]) => {
  const at = AT_REST[name];
  return typeof at === 'number' ? new Float64Array(aimed.size).fill(at) : (aimed[at] as Float64Array);
};

/** Whether two numbers differ; NaN is NaN. */
const differs = (a: number, b: number) => a !== b && !(a !== a && b !== b);

/** The rows of a plan that do not stay as they are, with what becomes of them. */
export function movedOf(plan: ProposalColumns): MovedColumns {
  const isMoved = new Uint8Array(plan.size);
  let count = 0;
  for (const name of STEPPED) {
    const [rest, column] = [restOf(plan, name), plan[name]];
    for (let row = 0; row < plan.size; row += 1)
      if (isMoved[row] === 0 && differs(rest[row], column[row])) {
        isMoved[row] = 1;
        count += 1;
      }
  }
  const rows = new Int32Array(count);
  for (let row = 0, at = 0; row < plan.size; row += 1) if (isMoved[row] === 1) rows[at++] = row;
  const numbers = STEPPED.map((name) => [name, pickNumbers(plan[name], rows)]);
  const { step, left, isSecondStep } = plan;
  return { rows, numbers: Object.fromEntries(numbers) as MovedColumns['numbers'], step, left, isSecondStep };
}

/** All rows again, from the plan that the others stay as they are in. */
export function withMoved(aimed: AimedColumns, moved: MovedColumns): SteppedColumns {
  const { rows, numbers, step, left, isSecondStep } = moved;
  const columns = STEPPED.map((name) => {
    const [column, own] = [restOf(aimed, name).slice(), numbers[name]];
    for (let at = 0; at < rows.length; at += 1) column[rows[at]] = own[at];
    return [name, column];
  });
  return { ...(Object.fromEntries(columns) as MovedColumns['numbers']), step, left, isSecondStep };
}
