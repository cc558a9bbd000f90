import type { ChangeFigures } from '../../contract/changes';
import { entitiesOf } from '../../core/changes';
import type { Change } from '../../core/changes';

/** Targets that have a change in the tray or under way, and the step that it was accepted in. */
export function pendingTargets(
  pending: readonly { change: Change; figures: ChangeFigures }[],
): Map<number, string | undefined> {
  const targets = new Map<number, string | undefined>();
  for (const { change, figures } of pending) {
    const { target } = entitiesOf(change);
    if (target !== undefined) targets.set(target, figures.step);
  }
  return targets;
}
