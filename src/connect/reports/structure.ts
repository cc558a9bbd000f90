import { FIELD_LABELS } from '../../contract/reportFields';
import type { ReportField } from '../../contract/reportFields';
import { parseAmount } from './figures';
import type { Fault } from './figures';
import type { Notation } from './figures';
import type { ReportSpec } from './reportSpec';

/** A state in the market's words. */
export function readState(text: string, label: string): string | Fault {
  const lower = text.toLowerCase();
  if (['enabled', 'active', 'on', 'running'].includes(lower)) return 'enabled';
  if (['paused', 'off', 'inactive'].includes(lower)) return 'paused';
  if (['archived', 'ended', 'removed'].includes(lower)) return 'archived';
  return { reason: `${label} is one of enabled, paused, archived, not ${text}.` };
}

/** What a budget is for: each day, or the campaign's whole life. */
export function readBudgetKind(text: string, label: string): 'daily' | 'lifetime' | Fault {
  const lower = text.toLowerCase();
  if (['daily', 'day', 'a day', 'per day'].includes(lower)) return 'daily';
  if (['lifetime', 'total', 'in all'].includes(lower)) return 'lifetime';
  return { reason: `${label} is one of daily, lifetime, not ${text}.` };
}

/**
 * What a row of a report by day says beside its figures: bids, budgets and states, in the order of the kind's structure. A text that is
 * none is left out, and the figures of the row count all the same: what a report calls its status is often something else.
 * @returns null where the row says nothing
 */
export function readStructure(
  {
    spec,
    columns,
    notation,
  }: { spec: ReportSpec; columns: Partial<Record<ReportField, number>>; notation: Notation },
  text: (field: ReportField) => string,
): (string | number | null)[] | null {
  let says = false;
  const values = spec.structure.map((field) => {
    const own = columns[field] === undefined ? '' : text(field);
    if (own === '') return null;
    const label = FIELD_LABELS[field];
    const read =
      field === 'budgetKind'
        ? readBudgetKind(own, label)
        : /state$/i.test(field)
          ? readState(own, label)
          : parseAmount(own, label, notation);
    if (typeof read === 'object') return null;
    says = true;
    return read;
  });
  return says ? values : null;
}
