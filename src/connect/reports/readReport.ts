import { MowingError } from '../../contract/mowingError';
import { FIELD_LABELS } from '../../contract/reportFields';
import { formatCount, formatMoney } from '../../core/units';
import type { Day } from '../../core/units';
import type { Window } from '../../core/windows';
import type { HeadingMatch } from './fields';
import { findShape, headingSet, matchShape } from './fileShape';
import type { DayOrder } from './days';
import type { DecimalMark } from './figures';
import type { FileShape, MetHeadings } from './fileShape';
import { KnownRows } from './knownRows';
import type { KnownRow, RowNumbers } from './knownRows';
import { RecordReader } from './recordReader';
import { FileDecoder } from './textDecoder';
import { reportRowReader } from './reportRow';
import { totalLineReader } from './totalLine';
import type { ReportRow } from './reportRow';
import type { ReportSpec } from './reportSpec';

/** Text looked at before the first row is read. */
const SAMPLE_CHARACTERS = 65_536;
const LINE_END = 10;
/** A line longer than this is given to the record reader as it is, which refuses it. */
const LONGEST_LINE = 262_144;

/** What is known of a file beside its bytes. */
export interface FileHints {
  headingLine?: number;
  /** The period that the rows of a file without days are summed over. */
  period?: Window;
  /** What was said earlier, by set of headings. */
  met: ReadonlyMap<string, MetHeadings>;
  decimals?: DecimalMark;
  dayOrder?: DayOrder;
}

/** What reading a report asks of its caller, and tells it. */
export interface ReportReceiver {
  spec: ReportSpec;
  currency: string;
  lastDay: Day;
  hints: FileHints;
  /** Called once before the rows; false = stop reading (the headings have to be matched first). */
  onHeadings: (shape: FileShape, match: HeadingMatch) => Promise<boolean>;
  /** One good row with its line; answers with the numbers under which its place and detail are known from now on. */
  onRow: (row: ReportRow, line: number) => RowNumbers;
  /** One good row of known place and detail. The object is used again: its values must be taken at once. */
  onKnownRow: (row: KnownRow, line: number) => void;
  /** The rows of one piece of the file are complete. */
  onPiece: () => Promise<void>;
  onRefused: (line: number, reason: string, fields: string[]) => void;
  /** Bytes and rows read so far. */
  onProgress: (bytes: number, rows: number) => void;
}

export interface ReportResult {
  read: number;
  /** A sentence on what could be wrong although everything was read; empty when nothing. */
  remark: string;
  /** Sums of the good rows, in the order of the kind's figures. */
  sums: Float64Array;
}

/**
 * Reads a report piece by piece, at constant memory.
 * @throws MowingError when the file as a whole cannot be trusted; then nothing of it may be kept
 */
export async function readReport(
  source: AsyncIterable<Uint8Array>,
  receiver: ReportReceiver,
): Promise<ReportResult | 'needs-mapping'> {
  const decoder = new FileDecoder();
  let sample = '';
  let rows: Rows | null | 'needs-mapping' = null;
  let bytes = 0;
  for await (const part of source) {
    bytes += part.length;
    if (rows === 'needs-mapping') continue; // read to the end: an upload that is cut off looks like a failure
    if (rows === null) {
      sample += decoder.push(part);
      if (sample.length < SAMPLE_CHARACTERS) continue;
      rows = await openRows(sample, decoder, receiver);
    } else rows.push(part);
    if (rows === 'needs-mapping') continue;
    await receiver.onPiece();
    receiver.onProgress(bytes, rows.read);
  }
  if (rows === null) rows = await openRows(sample + decoder.end(), decoder, receiver);
  if (rows === 'needs-mapping') return 'needs-mapping';
  const remark = rows.finish();
  await receiver.onPiece();
  receiver.onProgress(bytes, rows.read);
  if (rows.read === 0)
    throw new MowingError(
      'unreadable-file',
      'The file has headings but no rows. Nothing was taken in. Choose days with data, and fetch the report again.',
    );
  return { read: rows.read, remark, sums: rows.sums };
}

async function openRows(
  sample: string,
  decoder: FileDecoder,
  receiver: ReportReceiver,
): Promise<Rows | 'needs-mapping'> {
  const { spec, hints, currency } = receiver;
  const { period, met } = hints;
  const shape = findShape(spec, sample, currency, hints);
  const chosen = met.get(headingSet(shape.headings))?.matched ?? {};
  const wanted =
    period === undefined ? spec : { ...spec, required: spec.required.filter(([first]) => first !== 'day') };
  const match = matchShape(wanted, shape, chosen);
  if (period !== undefined && period.to > receiver.lastDay)
    throw new MowingError(
      'bad-request',
      `The period ends on ${period.to}, which has not come yet (today is ${receiver.lastDay}). Nothing was taken in.`,
    );
  if (period !== undefined && !spec.canBeSummed)
    throw new MowingError('bad-request', `${spec.label} cannot be summed. Fetch the report by day.`);
  if (period !== undefined && match.columns.day !== undefined)
    throw new MowingError(
      'unreadable-file',
      `The file tells its days itself, under “${shape.headings[match.columns.day]}”. Nothing was taken in. Import it without a period.`,
    );
  const isAsked = shape.asks.decimals !== null || (shape.asks.dayOrder !== null && period === undefined);
  if (!(await receiver.onHeadings(shape, match)) || match.missing.length > 0 || isAsked)
    return 'needs-mapping';
  const rows = new Rows(shape, match, decoder, receiver);
  rows.reader.push(sample);
  return rows;
}

/** The rows of a file whose headings are known. */
class Rows {
  readonly reader: RecordReader;
  read = 0;
  readonly sums: Float64Array;
  /** The file's own total line, in the order of the kind's figures; null where it has none. */
  private total: { line: number; figures: number[] } | null = null;
  private records = 0;
  private last: { line: number; width: number } = { line: 0, width: 0 };
  private taken: { day: Day; numbers: RowNumbers } | null = null;
  /** Bytes of a line whose end has not come yet. */
  private rest: Uint8Array = new Uint8Array();
  private readonly known: KnownRows;
  private readonly isQuick: boolean;
  private readonly shape: FileShape;
  private readonly receiver: ReportReceiver;
  private readonly decoder: FileDecoder;

  constructor(shape: FileShape, match: HeadingMatch, decoder: FileDecoder, receiver: ReportReceiver) {
    this.shape = shape;
    this.receiver = receiver;
    this.decoder = decoder;
    const { spec, lastDay } = receiver;
    const { delimiter, notation, dayOrder } = shape;
    const rules = { spec, columns: match.columns, width: shape.headings.length, notation, dayOrder };
    this.sums = new Float64Array(spec.figures.length);
    const readTotal = totalLineReader({ ...rules, lastDay });
    const readRow = reportRowReader({ ...rules, lastDay, period: receiver.hints.period });
    this.known = new KnownRows({ ...rules, delimiter });
    // The quick lane reads neither what a row says of bids and states nor files without days.
    this.isQuick =
      match.columns.day !== undefined && spec.structure.every((field) => match.columns[field] === undefined);
    this.reader = new RecordReader(shape.delimiter, (fields, line) => {
      this.records += 1;
      if (this.records <= shape.skip + 1) return;
      this.last = { line, width: fields.length };
      const total = readTotal(fields);
      if (total !== null) {
        this.total = { line, figures: total };
        return;
      }
      this.read += 1;
      const row = readRow(fields);
      if ('reason' in row) return receiver.onRefused(line, row.reason, fields);
      this.add(row.figures);
      const numbers = receiver.onRow(row, line);
      if (row.span === null) this.taken = { day: row.day, numbers };
    });
  }

  /** Takes the next bytes of the file. */
  push(part: Uint8Array): void {
    if (this.decoder.encoding !== 'utf-8') return this.reader.push(this.decoder.push(part));
    const data = this.rest.length === 0 ? part : Buffer.concat([this.rest, part]);
    let start = 0;
    for (let end = data.indexOf(LINE_END); end >= 0; end = data.indexOf(LINE_END, start)) {
      this.line(data, start, end);
      start = end + 1;
    }
    this.rest = data.slice(start);
    if (this.rest.length > LONGEST_LINE) this.pushRest();
  }

  private line(data: Uint8Array, start: number, end: number) {
    const row = this.reader.isOpen || !this.isQuick ? null : this.known.read(data, start, end);
    if (row !== null) {
      this.read += 1;
      this.add(row.figures);
      this.receiver.onKnownRow(row, this.reader.passLine());
      return;
    }
    const isWhole = !this.reader.isOpen;
    this.taken = null;
    this.reader.push(this.decoder.push(data.subarray(start, end + 1), this.reader.nextLine));
    const taken = this.taken as { day: Day; numbers: RowNumbers } | null;
    if (isWhole && this.isQuick && taken !== null)
      this.known.learn(data, start, end, taken.day, taken.numbers);
  }

  private add(figures: ArrayLike<number>) {
    for (let at = 0; at < this.sums.length; at += 1) this.sums[at] += figures[at];
  }

  /** What the file's own total line says differently. */
  private compared(): string {
    if (this.total === null) return '';
    const { line, figures } = this.total;
    const { figures: specs } = this.receiver.spec;
    const off = specs.flatMap(({ field, unit }, at) => {
      if (Number.isNaN(figures[at]) || figures[at] === this.sums[at]) return [];
      const show = (value: number) => (unit === 'amount' ? formatMoney(value) : formatCount(value));
      return [`${FIELD_LABELS[field].toLowerCase()} ${show(this.sums[at])} against ${show(figures[at])}`];
    });
    return off.length === 0
      ? `The rows agree with the file’s own total in line ${line}.`
      : `The rows differ from the file’s own total in line ${line}: ${off.join(', ')}. Check that none is missing.`;
  }

  private pushRest() {
    const { rest } = this;
    this.rest = new Uint8Array();
    this.reader.push(this.decoder.push(rest, this.reader.nextLine));
  }

  /** Reads what is left. @throws MowingError when the file was cut off */
  finish(): string {
    this.pushRest();
    this.reader.push(this.decoder.end());
    const { endedWithLineEnd } = this.reader.end();
    const compared = this.compared();
    if (endedWithLineEnd || this.read === 0) return compared;
    const { line, width } = this.last;
    if (width < this.shape.headings.length)
      throw new MowingError(
        'unreadable-file',
        `The file was cut off: line ${line}, its last, has ${width} of ${this.shape.headings.length} columns and no line end. Nothing was taken in. Fetch the report again.`,
      );
    return `${compared} Line ${line}, the last, has no line end; check that the file was not cut off.`.trim();
  }
}
