import type { ChangeFigures } from '../../contract/changes';
import { isTermStep } from '../../contract/review';
import { rowKey } from './types';

/** Rows of search terms that have a change in the tray or under way, as keys. */
export function pendingKeys(pending: readonly { figures: ChangeFigures }[]): Set<string> {
  const keys = new Set<string>();
  for (const { figures } of pending) {
    const { step, adGroupId, termId } = figures;
    if (step && isTermStep(step) && adGroupId && termId) keys.add(rowKey(step, adGroupId, termId));
  }
  return keys;
}
