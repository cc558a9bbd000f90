// What the ledger gets of measured effects.
import type { ChangePurpose } from '../core/changes';
import type { MeasuredEffect } from '../core/effect';

/** A measured effect; `readyOn` is the account's day from which a first answer can be given. */
export type EffectInfo = Omit<MeasuredEffect, 'readyOn'> & { readyOn: string | null };

export interface BaleEffects {
  /** The last day whose orders are in. */
  settledThrough: string;
  bale: EffectInfo;
  changes: { id: number; effect: EffectInfo }[];
}

/** What the changes of a rule did together; null while it has made none. */
export interface RuleEffectAnswer {
  settledThrough: string;
  effect: EffectInfo | null;
}

export interface PurposeEffects {
  settledThrough: string;
  purposes: {
    purpose: ChangePurpose;
    changes: number;
    /** Targets to which something of another purpose was done on the same day; they are left out. */
    mixed: number;
    expected: { spend: number; sales: number };
    effect: EffectInfo;
  }[];
}
