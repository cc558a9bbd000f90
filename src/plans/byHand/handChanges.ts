import { changeKey, MAX_MODIFIER, moveByHand, setValueOf, stopOf } from '../../core/changes';
import type { HandStep, MarketLimits, ValueLimits } from '../../core/changes';
import { lensNamed, sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import { budgetStepOf } from '../../core/budgets';
import { monthAt } from '../../core/bids';
import type { Month } from '../../core/bids';
import { DAYS_PER_MONTH, formatMoney, formatShare } from '../../core/units';
import type { NewChange } from '../../contract/changes';
import { canBeSet, isRecent, stateChange, stagedValue, valueChange } from './staged';
import type { Staged } from './staged';

/** What a move by hand comes to, before it is staged. */
export interface HandPlan {
  changes: NewChange[];
  up: number;
  down: number;
  atFloor: number;
  atCap: number;
  /** Rows that stay as they are: nothing to move by, or there already. */
  same: number;
  /** Rows left out because a change waits in the tray or is under way, or because their last one is new. */
  pending: number;
  recent: number;
  /** Sums of the values before and after, of those that move. */
  before: number;
  after: number;
}

interface PlanOptions {
  limits: MarketLimits;
  staged: Staged;
  /** Suggested bids by target; for that step alone. */
  suggested: ReadonlyMap<number, number>;
  /** Bids that are worked out, by target; for that step alone. */
  wanted: ReadonlyMap<number, number>;
  /** Days of the window: what is expected is told per month. */
  days: number;
  /** Take rows too that have a change pending, or a new one. */
  againToo: boolean;
  /** A nudge goes on from what is staged, instead of leaving it out. */
  isNudge?: boolean;
}

/** The market's limits for what a lens's value is. Modifiers are shares in steps of 1 %. */
export function limitsOf(lens: LensTable['lens'], limits: MarketLimits): ValueLimits {
  const { value } = lensNamed(lens);
  if (value === 'modifier') return { step: 0.01, min: 0, max: MAX_MODIFIER };
  if (value === 'budget') return { step: budgetStepOf(limits), min: limits.minBudget, max: limits.maxBudget };
  return { step: limits.bidStep, min: limits.minBid, max: limits.maxBid };
}

/** Plans a move of the values of some rows. */
export function planMove(
  table: LensTable,
  rows: readonly number[],
  step: HandStep,
  options: PlanOptions,
): HandPlan {
  const plan: HandPlan = {
    changes: [],
    up: 0,
    down: 0,
    atFloor: 0,
    atCap: 0,
    same: 0,
    pending: 0,
    recent: 0,
    before: 0,
    after: 0,
  };
  const limits = limitsOf(table.lens, options.limits);
  for (const row of rows) {
    const waiting = stagedValue(options.staged, table, row);
    if (!options.againToo && !options.isNudge && waiting !== undefined) {
      plan.pending += 1;
      continue;
    }
    if (!options.againToo && !options.isNudge && isRecent(table, row)) {
      plan.recent += 1;
      continue;
    }
    const now = options.isNudge && waiting !== undefined ? waiting : known(table.value[row]);
    const { clicks, spend, sales } = sumsAt(table.now, row);
    const moved = moveByHand(
      {
        now,
        cpc: clicks > 0 ? spend / clicks : null,
        suggested: options.suggested.get(table.targetId[row]) ?? null,
        wanted: options.wanted.get(table.targetId[row]) ?? null,
        spend,
        sales,
        targetAcos: table.targetAcos[row],
      },
      step,
      limits,
    );
    const change = moved && canBeSet(table, row) ? valueChange(table, row, tidy(moved.to)) : null;
    if (!moved || !change) {
      plan.same += 1;
      continue;
    }
    if (moved.limit === 'floor') plan.atFloor += 1;
    if (moved.limit === 'cap') plan.atCap += 1;
    if (now !== null && moved.to < now) plan.down += 1;
    else plan.up += 1;
    plan.before += now ?? 0;
    plan.after += moved.to;
    plan.changes.push(
      newChange(table, row, change, `By hand: ${stepWords(step, table.lens)}.`, options.days),
    );
  }
  return plan;
}

const known = (value: number) => (Number.isNaN(value) ? null : value);
/** Shares in steps of a hundredth pick up binary dust. */
const tidy = (value: number) => (value < 10 ? Number(value.toFixed(4)) : Math.round(value));

/** Pauses or resumes some rows; those that stand so already are left out. */
export function planState(
  table: LensTable,
  rows: readonly number[],
  to: 'enabled' | 'paused',
  staged: Staged,
  days: number,
): NewChange[] {
  return rows.flatMap((row) => {
    const change = stateChange(table, row, to);
    if (!change || staged.has(changeKey(change))) return [];
    return [newChange(table, row, change, to === 'paused' ? 'Paused by hand.' : 'Resumed by hand.', days)];
  });
}

/** A change of one row with the figures it was decided on. */
export function newChange(
  table: LensTable,
  row: number,
  change: NewChange['change'],
  reason: string,
  days: number,
): NewChange {
  const { clicks, orders, spend, sales } = sumsAt(table.now, row);
  return {
    change,
    reason,
    figures: { clicks, orders, spend, sales },
    effect: expectedOf(change, { clicks, spend, sales }, days),
  };
}

/**
 * What is expected in a month of the figures of the window: of a bid by how clicks and prices follow it (see monthAt), of a pause that
 * they end. Of budgets, modifiers and what was not known before nothing is claimed.
 */
function expectedOf(change: NewChange['change'], window: Month, days: number): NewChange['effect'] {
  const part = DAYS_PER_MONTH / days;
  const now = { clicks: window.clicks * part, spend: window.spend * part, sales: window.sales * part };
  const value = setValueOf(change);
  const after =
    value?.isBid && value.from
      ? monthAt(now, value.to / value.from)
      : stopOf(change)
        ? { clicks: 0, spend: 0, sales: 0 }
        : now;
  return { spend: Math.round(after.spend - now.spend), sales: Math.round(after.sales - now.sales) };
}

function stepWords(step: HandStep, lens: LensTable['lens']): string {
  const show = (value: number) =>
    lensNamed(lens).value === 'modifier' ? formatShare(value, 0) : formatMoney(value);
  switch (step.kind) {
    case 'percent':
      return `${step.by > 0 ? '+' : '−'}${formatShare(Math.abs(step.by), 0)}`;
    case 'amount':
      return `${step.by > 0 ? '+' : '−'}${show(Math.abs(step.by))}`;
    case 'value':
      return `to ${show(step.to)}`;
    case 'cpc':
      return 'to what a click costs';
    case 'suggested':
      return 'to the market’s suggested bid';
    case 'wanted':
      return 'to the bid that is worked out for it';
    case 'bands':
      return 'by the band its ACOS is in';
    case 'floor':
      return 'to the floor';
  }
}
