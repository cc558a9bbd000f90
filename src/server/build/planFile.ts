import { asText, csvLine, writeWorkbook, XLSX_TYPE } from '../../connect/spreadsheet';
import { readNamedColumns, readWhole, withoutGuard } from '../../connect/reports';
import { buildPlan } from '../../contract/buildSchemas';
import type { PlanAnswer } from '../../contract/build';
import { MowingError } from '../../contract/mowingError';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { readValues } from '../http/read';
import type { Caller } from '../trail';
import { loadBackground } from './background';
import { PLAN_COLUMNS, planOfRows, rowsOfPlan } from './planRows';
import { savePlan } from './plans';
import { needPlan } from './workOut';

export type PlanFormat = 'csv' | 'xlsx' | 'json';

const MOST_CHARACTERS = 5_000_000;

/** A plan as a file that comes back as the same plan. */
export async function planFile(accountId: number, id: number, format: PlanFormat) {
  const account = await needAccount(accountId);
  const [{ plan }, { products }] = await Promise.all([
    needPlan(db(), accountId, id),
    loadBackground(account),
  ]);
  const name = `plan-${id}.${format}`;
  if (format === 'json') return { name, type: 'application/json', body: one(JSON.stringify(plan, null, 2)) };
  const rows = rowsOfPlan(plan, (product) => products.get(product)?.itemCode ?? String(product)).map((row) =>
    PLAN_COLUMNS.map((column) => row[column]),
  );
  if (format === 'xlsx')
    return { name, type: XLSX_TYPE, body: writeWorkbook('Plan', [...PLAN_COLUMNS], each(rows)) };
  return {
    name,
    type: 'text/csv; charset=utf-8',
    body: one([[...PLAN_COLUMNS], ...rows].map((cells) => csvLine(cells)).join('')),
  };
}

async function* one(text: string): AsyncGenerator<Uint8Array> {
  yield new TextEncoder().encode(text);
}

async function* each<T>(list: readonly T[]): AsyncGenerator<T> {
  yield* list;
}

/** Takes a plan's file in as a plan of its own. @throws MowingError with every line that cannot be read; nothing is kept then */
export async function takePlanFile(
  caller: Caller,
  accountId: number,
  source: AsyncIterable<Uint8Array>,
): Promise<PlanAnswer> {
  const account = await needAccount(accountId);
  const text = await readWhole(asText(source), MOST_CHARACTERS, 'plan’s file');
  const { products } = await loadBackground(account);
  if (text.trimStart().startsWith('{'))
    return savePlan(caller, { account: accountId, plan: readValues(jsonOf(text), buildPlan, 'plan') });
  const byCode = new Map([...products.values()].map(({ id, itemCode }) => [itemCode.toUpperCase(), id]));
  const { plan, faults } = planOfRows(linesOf(text), (code) => byCode.get(code));
  if (faults.length > 0)
    throw new MowingError(
      'bad-request',
      `${faults.length === 1 ? 'A line' : `${faults.length} lines`} of the file cannot be read; nothing was kept. Line ${faults[0].line}: ${faults[0].what}`,
      faults.map(({ line, what }) => ({ where: `line ${line}`, what })),
    );
  return savePlan(caller, { account: accountId, plan: readValues(plan, buildPlan, 'plan') });
}

const linesOf = (text: string) =>
  readNamedColumns(text, PLAN_COLUMNS, {
    what: 'plan’s file',
    instead: 'Take the file of a plan, and edit that one.',
  }).map(({ line, ...cells }) => ({
    line,
    what: withoutGuard(cells.what),
    name: withoutGuard(cells.name),
    bid: withoutGuard(cells.bid),
    value: withoutGuard(cells.value),
  }));

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new MowingError('bad-request', 'The file begins as JSON and is none.');
  }
}
