import type { Micros } from '../units';
import type { Change } from './change';

/** The number that a change sets: a bid or a budget in micros, a modifier as a share. */
export interface SetValue {
  /** What stood there when it was decided; null where nothing did. */
  from: number | null;
  to: number;
  unit: 'money' | 'share';
}

/** The number that a change sets, or null for one that sets none. */
export function setValueOf(change: Change): SetValue | null {
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target':
      return { from: null, to: change.bid, unit: 'money' };
    case 'add-campaign':
      return { from: null, to: change.budget, unit: 'money' };
    case 'add-ad-group':
      return { from: null, to: change.defaultBid, unit: 'money' };
    case 'set-bid':
    case 'set-budget':
      return { from: change.from, to: change.to, unit: 'money' };
    case 'set-modifier':
      return { from: change.from, to: change.to, unit: 'share' };
    default:
      return null;
  }
}

/** The same change with another number to set; one that sets none stays as it is. */
export function withValue(change: Change, to: Micros | number): Change {
  switch (change.kind) {
    case 'add-keyword':
    case 'add-item-target':
      return { ...change, bid: to };
    case 'add-campaign':
      return { ...change, budget: to };
    case 'add-ad-group':
      return { ...change, defaultBid: to };
    case 'set-bid':
    case 'set-budget':
    case 'set-modifier':
      return { ...change, to };
    default:
      return change;
  }
}

/** The same change decided from what stands there now. */
export function fromPresent(change: Change, present: number | string | null): Change {
  switch (change.kind) {
    case 'set-bid':
    case 'set-budget':
      return typeof present === 'number' ? { ...change, from: present } : change;
    case 'set-modifier':
      return typeof present === 'number' ? { ...change, from: present } : change;
    case 'set-state':
      return present === 'enabled' || present === 'paused' ? { ...change, from: present } : change;
    default:
      return change;
  }
}

/** Whether what a change set stands no more: something else was set there since. @param present what stands there now */
export function isChangedSince(change: Change, present: number | string | null): boolean {
  switch (change.kind) {
    case 'set-bid':
    case 'set-budget':
    case 'set-modifier':
    case 'set-state':
      return present !== null && present !== change.to;
    case 'add-keyword':
    case 'add-item-target':
    case 'add-negative':
    case 'add-campaign':
    case 'add-ad-group':
      return present !== 'enabled';
    case 'add-ad':
    case 'archive-place':
    case 'archive-target':
    case 'archive-negative':
      return false;
  }
}
