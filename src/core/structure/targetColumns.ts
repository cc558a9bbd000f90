import { KEYWORD_MATCHES } from '../matching';
import type { State, Target, TargetKind } from './structure';

export const TARGET_KINDS = [
  'keyword',
  'item',
  'category',
  'brand',
  'auto',
  'unknown',
] as const satisfies readonly TargetKind[];
export const TARGET_STATES = ['enabled', 'paused', 'archived'] as const satisfies readonly State[];

/** Targets as columns: a hundred thousand travel without an object each. */
export interface TargetColumns {
  id: Int32Array | Float64Array;
  adGroupId: Int32Array | Float64Array;
  /** Places in TARGET_KINDS; in KEYWORD_MATCHES, -1 for none; in TARGET_STATES. */
  kind: Int32Array | Float64Array;
  match: Int32Array | Float64Array;
  state: Int32Array | Float64Array;
  /** Micros; -1: its ad group's. */
  bid: Int32Array | Float64Array;
  expression: readonly string[];
}

const NONE = new Int32Array();
export const NO_TARGETS: TargetColumns = {
  id: NONE,
  adGroupId: NONE,
  kind: NONE,
  match: NONE,
  state: NONE,
  bid: NONE,
  expression: [],
};

/** Targets from their columns. */
export function toTargets({ id, adGroupId, kind, match, state, bid, expression }: TargetColumns): Target[] {
  const targets = new Array<Target>(expression.length);
  for (let at = 0; at < targets.length; at += 1)
    targets[at] = {
      id: id[at],
      adGroupId: adGroupId[at],
      kind: TARGET_KINDS[kind[at]],
      match: match[at] < 0 ? null : KEYWORD_MATCHES[match[at]],
      expression: expression[at],
      bid: bid[at] < 0 ? null : bid[at],
      state: TARGET_STATES[state[at]],
    };
  return targets;
}

/**
 * One target of each kind, match and state in each ad group, the first of them: enough to tell what an ad group looks for, and a fraction
 * of all.
 */
export function oneOfEachForm(all: TargetColumns): TargetColumns {
  const kinds = TARGET_KINDS.length;
  const states = TARGET_STATES.length;
  // No match counts as the one before the first.
  const matches = KEYWORD_MATCHES.length + 1;
  const seen = new Set<number>();
  const kept: number[] = [];
  for (let at = 0; at < all.id.length; at += 1) {
    const form = (all.kind[at] * matches + all.match[at] + 1) * states + all.state[at];
    const key = all.adGroupId[at] * kinds * matches * states + form;
    if (seen.has(key)) continue;
    seen.add(key);
    kept.push(at);
  }
  const pick = (column: Int32Array | Float64Array) => Float64Array.from(kept, (at) => column[at]);
  return {
    id: pick(all.id),
    adGroupId: pick(all.adGroupId),
    kind: pick(all.kind),
    match: pick(all.match),
    state: pick(all.state),
    bid: pick(all.bid),
    expression: kept.map((at) => all.expression[at]),
  };
}
