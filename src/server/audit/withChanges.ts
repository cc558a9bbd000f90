import type { TrailLine } from '../../contract/people';
import { describeChange } from '../../core/changes';
import { listChanges } from '../changes/listChanges';
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

/** Puts into words what the changes were that a line tells of by their numbers. @param most of one line that are put into words */
export async function withChanges<L extends OfChanges & { subject: string }>(
  accountId: number,
  lines: readonly L[],
  most: number,
): Promise<(L & Pick<TrailLine, 'changes'>)[]> {
  const wanted = lines.map((line) => idsOf(line));
  const ids = [...new Set(wanted.flatMap((list) => list.slice(0, most)))];
  const rows = ids.length === 0 ? [] : await listChanges(db(), accountId, { ids });
  const words = new Map(
    rows.map(({ id, change, subject, campaign }) => [
      id,
      `${describeChange(change)}${subject ? ` “${subject}”` : ''}, ${campaign ?? 'unknown campaign'}`,
    ]),
  );
  return lines.map((line, at) => {
    const list = wanted[at];
    if (list.length === 0) return { ...line, changes: null };
    const told = list.slice(0, most).flatMap((id) => words.get(id) ?? []);
    return { ...line, changes: { words: told, count: list.length } };
  });
}
