import type { Goal } from '../../../core/goals';
import type { TableRow } from '../../../connect/tables';
import type { Query } from '../../../db/connection';
import type { AccountRow } from '../../../db/queries/accounts';
import { listScopes, upsertGoals } from '../../../db/queries/economics';
import type { TableResult } from './tableResult';

/** Keeps targets by scope; what they stand on is found by its name. */
export async function keepGoals(tx: Query, { id }: AccountRow, rows: TableRow[]): Promise<TableResult> {
  const scopes = new Map<string, number[]>();
  for (const { scope, id: scopeId, name } of await listScopes(tx, id)) {
    const key = `${scope} ${name.toLowerCase()}`;
    scopes.set(key, [...(scopes.get(key) ?? []), scopeId]);
  }
  const refused: TableResult['refused'] = [];
  const list = new Map<string, Goal>();
  for (const row of rows) {
    const goal = toGoal(row, scopes);
    if (typeof goal === 'string') refused.push({ line: row.line, reason: goal });
    else if (list.has(`${goal.scope} ${goal.scopeId}`))
      refused.push({ line: row.line, reason: 'The row repeats an earlier one: same scope and name.' });
    else list.set(`${goal.scope} ${goal.scopeId}`, goal);
  }
  const kept = await upsertGoals(tx, id, [...list.values()]);
  return { kept, unchanged: list.size - kept, refused };
}

/** The goal of a row, or why there is none. */
function toGoal(row: TableRow, scopes: Map<string, number[]>): Goal | string {
  const scope = String(row.scope) as Goal['scope'];
  const found =
    scope === 'account' ? [0] : (scopes.get(`${scope} ${String(row.name ?? '').toLowerCase()}`) ?? []);
  if (found.length === 0) return `There is no ${scope.replace('-', ' ')} “${String(row.name ?? '')}”.`;
  if (found.length > 1)
    return `“${String(row.name)}” names ${found.length} of this account’s ${scope.replace('-', ' ')}s.`;
  const kind = row.acos != null ? 'acos' : 'margin';
  const low = Number(kind === 'acos' ? row.acos : row.margin);
  const to = kind === 'acos' ? row.acosTo : row.marginTo;
  const high = to == null ? low : Number(to);
  if (high < low) return 'The upper end of the range is below the lower one.';
  if (kind === 'acos' && low <= 0) return 'A target ACOS is above 0.';
  return { scope, scopeId: found[0], kind, low, high };
}
