import type { ChangeFigures } from '../../contract/changes';
import { entitiesOf } from '../../core/changes';
import type { Change } from '../../core/changes';
import { goesWithModifiers } from './ahead';

/** Targets that have a change of their own in the tray or under way, and the step that it was accepted in. */
export function pendingTargets(
  pending: readonly { change: Change; figures: ChangeFigures }[],
): Map<number, string | undefined> {
  const targets = new Map<number, string | undefined>();
  for (const one of pending) {
    const { change, figures } = one;
    const { target } = entitiesOf(change);
    if (target !== undefined && !goesWithModifiers(one)) targets.set(target, figures.step);
  }
  return targets;
}
