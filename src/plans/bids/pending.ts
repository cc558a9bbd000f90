import type { ChangeFigures } from '../../contract/changes';
import type { RoundStep } from '../../contract/review';
import type { Change } from '../../core/changes';

/** Targets that have a change of their bid or state in the tray or under way, and the step that it was accepted in. */
export function pendingTargets(
  pending: readonly { change: Change; figures: ChangeFigures }[],
): Map<number, RoundStep | undefined> {
  const targets = new Map<number, RoundStep | undefined>();
  for (const { change, figures } of pending) {
    if (change.kind === 'set-bid') targets.set(change.targetId, figures.step);
    if (change.kind === 'set-state' && change.entity === 'target') targets.set(change.id, figures.step);
  }
  return targets;
}
