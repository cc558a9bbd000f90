import type { TrailLine } from '../../contract/people';
import { describeChange, setValueOf } from '../../core/changes';
import { formatMoney, formatShare } from '../../core/units';
import { listChanges } from '../changes/listChanges';
import type { StandingChange } from '../changes/listChanges';
import { db } from '../context/context';

/** What a line of the trail tells of several changes at once. */
interface OfChanges {
  from: unknown;
  to: unknown;
}

/** The changes that a line is about, by id; of other lines none. */
function idsOf({ subject, from, to }: OfChanges & { subject: string }): number[] {
  if (subject !== 'changes') return [];
  const named = [to, from].find((one) => one !== null && one !== undefined);
  const list = Array.isArray(named)
    ? named.map((one: { id: number }) => one.id)
    : (named as { ids?: number[] })?.ids;
  return (list ?? []).filter((id) => Number.isInteger(id));
}

/** Puts into words what the changes are that a line tells of by their numbers, as they last stood. @param most of one line that are put into words */
export async function withChanges<L extends OfChanges & { subject: string }>(
  accountId: number,
  lines: readonly L[],
  most: number,
): Promise<(L & Pick<TrailLine, 'changes'>)[]> {
  const wanted = lines.map((line) => idsOf(line));
  const ids = [...new Set(wanted.flatMap((list) => list.slice(0, most)))];
  const rows = ids.length === 0 ? [] : await listChanges(db(), accountId, { ids });
  const byId = new Map(rows.map((row) => [row.id, row]));
  return lines.map((line, at) => {
    const list = wanted[at];
    if (list.length === 0) return { ...line, changes: null };
    const told = list.slice(0, most).flatMap((id) => {
      const row = byId.get(id);
      return row ? [`${editWords(line, row) ?? describeChange(row.change)}${whereWords(row)}`] : [];
    });
    return { ...line, changes: { words: told, count: list.length } };
  });
}

const whereWords = ({ subject, campaign }: StandingChange) =>
  `${subject ? ` “${subject}”` : ''}, ${campaign ?? 'unknown campaign'}`;

/** What an edit set instead of what; null for a line of another kind. A change itself tells only what it was edited to last. */
function editWords({ from, to }: OfChanges, { id, change }: StandingChange): string | null {
  if (!Array.isArray(from) || !Array.isArray(to)) return null;
  const valueIn = (list: { id: number; value: number | null }[]) =>
    list.find((one) => one.id === id)?.value ?? null;
  const show = setValueOf(change)?.unit === 'share' ? formatShare : formatMoney;
  return `${show(valueIn(from))} → ${show(valueIn(to))}`;
}
