import type { ChangeInfo, NewChange } from '../../../contract/changes';
import type { Undoable, Undoing } from '../undo/undoStore';
import { changeCount } from './money';

type Replaced = Pick<ChangeInfo, 'id' | 'change' | 'reason' | 'figures' | 'carries' | 'effect'>;

/**
 * How changes that were staged leave the tray again: those that took the place of others give it back to them.
 * @param ids of what was staged; null for what was there or under way already @param before what the tray held then
 * @returns null where nothing was staged
 */
export function undoStaging(ids: readonly (number | null)[], before: readonly Replaced[]): Undoable | null {
  const staged = ids.filter((id) => id !== null);
  if (staged.length === 0) return null;
  return { words: `${changeCount(staged.length)} put in the tray`, undoing: undoingOf(staged, before) };
}

function undoingOf(staged: readonly number[], before: readonly Replaced[]): Undoing {
  const held = new Map(before.map((one) => [one.id, one]));
  const changes = staged.flatMap((id): NewChange[] => {
    const one = held.get(id);
    if (!one) return [];
    const { change, reason, figures, carries, effect } = one;
    return [{ change, reason, figures, carries, effect }];
  });
  const made = staged.filter((id) => !held.has(id));
  return changes.length === 0 ? { kind: 'take-out', ids: made } : { kind: 'put-back', ids: made, changes };
}
