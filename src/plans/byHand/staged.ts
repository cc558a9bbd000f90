import { lensNamed, STATES } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import { changeKey } from '../../core/changes';
import type { Change } from '../../core/changes';
import { PLACEMENTS } from '../../core/structure';

/** Days in which a change is new: what it did cannot be seen yet. */
export const COOL_DOWN_DAYS = 6;

/** What waits in the tray or is under way, by what it is about. */
export type Staged = ReadonlyMap<string, Change>;

export function stagedOf(pending: readonly { change: Change }[]): Staged {
  return new Map(pending.map(({ change }) => [changeKey(change), change]));
}

/** Whether the market knows what a row is and takes changes of it: what has ended and drafts stay as they are. */
export const canBeSet = (table: LensTable, row: number): boolean =>
  STATES[table.state[row]] === 'enabled' || STATES[table.state[row]] === 'paused';

/** The change that sets the value of a row: a bid, a budget, a modifier. Null where it has none that can be set. */
export function valueChange(table: LensTable, row: number, to: number): Change | null {
  const now = table.value[row];
  // A target without a bid of its own goes from its ad group’s default: undone, it bids that again.
  const from = Number.isNaN(now) ? null : now;
  const { sets, value } = lensNamed(table.lens);
  if (!sets) return null;
  if (value === 'bid') return { kind: 'set-bid', targetId: table.targetId[row], from, to };
  const campaignId = table.campaignId[row];
  if (value === 'budget') return { kind: 'set-budget', campaignId, from, to };
  // Nobody told what stands: what another one would do cannot be said.
  if (from === null) return null;
  return { kind: 'set-modifier', campaignId, placement: PLACEMENTS[table.part[row]], from, to };
}

/** The value that is staged for a row; undefined for none. */
export function stagedValue(staged: Staged, table: LensTable, row: number): number | undefined {
  if (staged.size === 0) return undefined;
  const change = valueChange(table, row, 0);
  const found = change && staged.get(changeKey(change));
  return found && 'to' in found && typeof found.to === 'number' ? found.to : undefined;
}

/** The change that pauses or resumes what a row is; null for rows that have no state. */
export function stateChange(table: LensTable, row: number, to: 'enabled' | 'paused'): Change | null {
  const from = STATES[table.state[row]];
  if (from === to || from === 'archived' || from === 'draft') return null;
  const { pauses: entity } = lensNamed(table.lens);
  if (!entity) return null;
  const id = { target: table.targetId, campaign: table.campaignId, 'ad-group': table.adGroupId }[entity][row];
  return { kind: 'set-state', entity, id, from, to };
}

/** Whether a row was changed so lately that what it did cannot be seen yet. */
export const isRecent = (table: LensTable, row: number): boolean => table.age[row] <= COOL_DOWN_DAYS;
