import { MowingError } from '../../contract/mowingError';
import { isDiskFull } from '../machine/room';
import { FACTS, REPORT_KINDS } from '../../contract/facts';
import { FIELD_LABELS } from '../../contract/reportFields';
import type { ImportKind, ReportField } from '../../contract/reportFields';
import { formatCount, formatFullDay } from '../../core/units';
import type { Day } from '../../core/units';
import type { ImportEnd } from '../../db/queries/imports';

/** Kinds whose rows hold units sold. */
const SOLD: ImportKind[] = REPORT_KINDS.filter((kind) =>
  FACTS[kind].figures.some(({ field }) => field === 'units'),
);

/** Whether rows of a kind may stand for several days. */
export const canBeSummed = (kind: ImportKind): boolean =>
  REPORT_KINDS.some((one) => one === kind && FACTS[one].canBeSummed);

const MOST_NAMED = 6;
const someOf = (headings: string[]) =>
  headings
    .slice(0, MOST_NAMED)
    .map((heading) => `“${heading}”`)
    .join(', ') + (headings.length > MOST_NAMED ? ` and ${headings.length - MOST_NAMED} more` : '');

const rows = (count: number) => `${formatCount(count)} ${count === 1 ? 'row' : 'rows'}`;

/** What an import came to, in sentences. */
export function importMessage(kind: ImportKind, end: ImportEnd, remark: string): string {
  if (end.state === 'needs-mapping') {
    if (end.unmatched.includes('day') && end.unmatched.length === 1 && canBeSummed(kind))
      return 'No column tells the day. Nothing was taken in yet. Say which column it is; or, if every row is a sum over a period, from which day to which.';
    const doubles = end.several.map(
      ({ field, headings }) => `${FIELD_LABELS[field as ReportField]}: ${someOf(headings)}`,
    );
    const asked = [
      ...(doubles.length > 0
        ? [`Several columns could be ${doubles.join('; ')}. Say which one counts.`]
        : []),
      ...(end.asks.decimals === null
        ? []
        : [
            `Its amounts can be read in two ways: “${end.asks.decimals}” may hold thousands or decimals. Say which.`,
          ]),
      ...(end.asks.dayOrder === null
        ? []
        : [
            `Its days can be read in two ways: in “${end.asks.dayOrder}” the day or the month may come first. Say which.`,
          ]),
    ];
    const lacking = end.unmatched.filter((field) => !end.several.some((one) => one.field === field));
    if (asked.length > 0 && lacking.length === 0)
      return `${asked.join(' ')} Nothing was taken in yet; the answer is remembered for files with these headings.`;
    const fields = lacking.map((field) => FIELD_LABELS[field as ReportField]).join(', ');
    return `No heading was recognised for: ${fields}. Nothing was taken in yet. Say which column it is; the choice is remembered for files with these headings.`;
  }
  const sentences = [outcome(end)];
  if (end.refused > 0 && end.state === 'done')
    sentences.push(`${rows(end.refused)} refused: see the list of lines and reasons.`);
  if (end.state === 'done' && end.byName)
    sentences.push(
      'The report has no ids for campaign and ad group; their names serve as keys, so a renamed campaign counts as a new one.',
    );
  const hasUnits = !SOLD.includes(kind) || Object.values(end.matched).includes('units');
  if (end.state === 'done' && !hasUnits)
    sentences.push('The report has no column for units; they count as 0.');
  if (end.unread.length > 0) sentences.push(`Not read: ${someOf(end.unread)}.`);
  if (remark !== '') sentences.push(remark);
  return sentences.join(' ');
}

function outcome(end: ImportEnd): string {
  if (end.state === 'refused')
    return `None of ${rows(end.read)} could be kept. See the list of lines and reasons.`;
  const span = end.firstDay === null || end.lastDay === null ? '' : ` (${spanOf(end.firstDay, end.lastDay)})`;
  const [all, were] = end.unchanged === 1 ? ['the only row', 'was'] : [`all ${rows(end.unchanged)}`, 'were'];
  if (end.kept === 0) return `Nothing changed: ${all}${span} ${were} here already with the same figures.`;
  const already = end.unchanged > 0 ? `; ${rows(end.unchanged)} ${were} here already` : '';
  return `${rows(end.kept)} taken in${span}${already}.`;
}

const spanOf = (first: Day, last: Day) =>
  first === last ? formatFullDay(first) : `${formatFullDay(first)} to ${formatFullDay(last)}`;

/** Why a file was refused as a whole. */
export function refusedMessage(error: unknown): string {
  if (error instanceof MowingError) return error.message;
  if (isCutOff(error))
    return 'The upload was cut off before its end. Nothing was taken in. Send the file again.';
  if (isDiskFull(error))
    return 'The disk is full. Nothing was taken in. Make room on the disk of the data folder, and send the file again.';
  return 'The import failed for a reason that lies with Mowing, not with the file. Nothing was taken in; the log tells more. Try again.';
}

function isCutOff(error: unknown): boolean {
  const { code, message } = error as { code?: string; message?: string };
  return (
    code === 'ECONNRESET' ||
    code === 'ERR_STREAM_PREMATURE_CLOSE' ||
    /aborted|terminated|premature/i.test(message ?? '')
  );
}
