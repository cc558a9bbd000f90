import type { Change } from './change';

/** What became of an accepted change in the account: the target or negative it made. */
export interface Made {
  targetId: number | null;
  negativeId: number | null;
}

/**
 * The change that undoes an accepted one, or null when it cannot be undone: ending a target or lifting a
 * negative is final on the market, since archived things stay archived; and a value that was not known cannot come back.
 */
export function inverseOf(change: Change, made: Made): Change | null {
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target':
      return made.targetId === null ? null : { kind: 'archive-target', targetId: made.targetId };
    case 'add-negative':
      return made.negativeId === null ? null : { kind: 'archive-negative', negativeId: made.negativeId };
    case 'set-bid':
      return change.from === null ? null : { ...change, from: change.to, to: change.from };
    case 'set-budget':
      return change.from === null ? null : { ...change, from: change.to, to: change.from };
    case 'set-modifier':
      return { ...change, from: change.to, to: change.from };
    case 'set-state':
      return change.from === 'archived' ? null : { ...change, from: change.to, to: change.from };
    case 'add-campaign':
      return { kind: 'archive-place', entity: 'campaign', id: change.campaignId };
    case 'add-ad-group':
      return { kind: 'archive-place', entity: 'ad-group', id: change.adGroupId };
    // An ad goes with its ad group.
    case 'add-ad':
    case 'archive-place':
    case 'archive-target':
    case 'archive-negative':
      return null;
  }
}
