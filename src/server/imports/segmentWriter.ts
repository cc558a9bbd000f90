import { placeFields } from '../../connect/reports';
import { MowingError } from '../../contract/mowingError';
import type { KnownRow, ReportRow, ReportSpec, RowNumbers } from '../../connect/reports';
import { dayNumber } from '../../core/units';
import type { Window } from '../../core/windows';

/** A day of more rows than so many segments is parted all the same, so that memory stays constant. */
const LONGEST_DAY = 10;
/** Texts remembered at once; beyond that numbers start anew, so that memory stays constant. */
const MOST_REMEMBERED = 200_000;

/** What a row said of bids, budgets and states. */
export interface StructureNote {
  day: string;
  line: number;
  /** In the order of the kind's structure; null where it said nothing. */
  values: (string | number | null)[];
}

/** Gives equal texts the same number. */
class Numbers {
  private known = new Map<string, number>();
  private last = 0;

  /** The number of a text; negative when the text is seen first. */
  of(text: string): number {
    const number = this.known.get(text);
    if (number !== undefined) return number;
    if (this.known.size >= MOST_REMEMBERED) this.known.clear();
    this.last += 1;
    this.known.set(text, this.last);
    return -this.last;
  }
}

/** Rows as columns: no object and no text for a row. */
export interface SegmentRows {
  rows: number;
  line: Int32Array;
  /** Days since 1970. */
  day: Int32Array;
  place: Int32Array;
  detail: Int32Array;
  /** One column for each figure of the kind. */
  figures: Float64Array[];
}

/** Rows on their way to the database. */
export interface Segment extends SegmentRows {
  /** The days that the rows stand on. */
  days: Set<number>;
  /** Those of them that stand for several days. */
  spans: Map<number, Window>;
  /** Places and search terms that no row before named, by their number. */
  newPlaces: { number: number; texts: string[] }[];
  newTerms: { number: number; text: string; /** On which it was met. */ day: number }[];
}

function emptySegment(size: number, figures: number): Segment {
  return {
    rows: 0,
    line: new Int32Array(size),
    day: new Int32Array(size),
    place: new Int32Array(size),
    detail: new Int32Array(size),
    figures: Array.from({ length: figures }, () => new Float64Array(size)),
    days: new Set(),
    spans: new Map(),
    newPlaces: [],
    newTerms: [],
  };
}

/**
 * Collects rows into segments of at least `segmentRows`. Where the rows of a day follow each other, a segment ends with a day: rows of a day
 * that an earlier segment wrote have to be compared with those.
 */
export class SegmentWriter {
  private readonly places = new Numbers();
  private readonly terms = new Numbers();
  private readonly spec: ReportSpec;
  private readonly segmentRows: number;
  private readonly idCount: number;
  private segment: Segment;
  private lastDay = '';
  private lastDayNumber = 0;
  /** The row with which the last day begins; 0 where the segment had rows of it before. */
  private lastDayFrom = 0;
  /** What the last day of each place says of bids and states, by the number of the place. */
  readonly latest = new Map<number, StructureNote>();

  constructor(spec: ReportSpec, segmentRows: number) {
    this.spec = spec;
    this.segmentRows = segmentRows;
    this.idCount = spec.placeIds.length;
    this.segment = emptySegment(segmentRows, spec.figures.length);
  }

  /** Adds a row, and answers with the numbers of its place and detail. */
  add(row: ReportRow, line: number): RowNumbers {
    this.meetDay(row.day);
    const place = this.places.of(this.placeKey(row.place));
    if (place < 0) this.segment.newPlaces.push({ number: -place, texts: row.place });
    const numbers = { place: Math.abs(place), detail: this.detailNumber(row.detail) };
    this.put(numbers, row.figures, line);
    if (row.span !== null) this.noteSpan(row.span, line);
    // What stands is told at the end of the days that a row sums up, not in their middle.
    const toldOn = row.span?.to ?? row.day;
    if (row.values !== null && !((this.latest.get(numbers.place)?.day ?? '') > toldOn))
      this.latest.set(numbers.place, { day: toldOn, line, values: row.values });
    return numbers;
  }

  /** Adds a row whose place and detail were added before. */
  addKnown(row: KnownRow, line: number): void {
    this.meetDay(row.day);
    this.put(row, row.figures, line);
  }

  /** A segment when enough rows were added for one, else null. Called between pieces of the file. */
  takeFull(): Segment | null {
    const { segment, lastDayFrom } = this;
    if (segment.rows < this.segmentRows) return null;
    if (lastDayFrom > 0) return this.takeUpTo(lastDayFrom);
    const isOneDay = segment.days.size === 1;
    return isOneDay && segment.rows < this.segmentRows * LONGEST_DAY ? null : this.takeRest();
  }

  /** The rows before one with which a day begins; that day begins the next segment. */
  private takeUpTo(from: number): Segment {
    const { segment, lastDayNumber } = this;
    const rest = emptySegment(Math.max(this.segmentRows, segment.rows - from), segment.figures.length);
    for (const column of ['line', 'day', 'place', 'detail'] as const)
      rest[column].set(segment[column].subarray(from, segment.rows));
    segment.figures.forEach((column, at) => rest.figures[at].set(column.subarray(from, segment.rows)));
    rest.rows = segment.rows - from;
    segment.rows = from;
    rest.days.add(lastDayNumber);
    segment.days.delete(lastDayNumber);
    const span = segment.spans.get(lastDayNumber);
    if (span !== undefined) rest.spans.set(lastDayNumber, span);
    segment.spans.delete(lastDayNumber);
    this.segment = rest;
    this.lastDayFrom = 0;
    return segment;
  }

  /** What was added and not taken yet, null when nothing was. */
  takeRest(): Segment | null {
    if (this.segment.rows === 0) return null;
    const { segment } = this;
    this.segment = emptySegment(this.segmentRows, this.spec.figures.length);
    this.lastDay = '';
    this.lastDayFrom = 0;
    return segment;
  }

  private noteSpan(span: Window, line: number) {
    const { spans } = this.segment;
    const known = spans.get(this.lastDayNumber);
    if (known !== undefined && (known.from !== span.from || known.to !== span.to))
      throw new MowingError(
        'unreadable-file',
        `The row of line ${line} sums up ${span.from} to ${span.to}, others ${known.from} to ${known.to}: their figures would count twice. Nothing was taken in. Fetch the report for one period.`,
      );
    spans.set(this.lastDayNumber, span);
  }

  private detailNumber(detail: ReportRow['detail']): number {
    if (typeof detail !== 'string') return detail ?? 0;
    const term = this.terms.of(detail);
    if (term < 0) this.segment.newTerms.push({ number: -term, text: detail, day: this.lastDayNumber });
    return Math.abs(term);
  }

  /** What tells one place from another: the ids where a report has all of them, else the names too. */
  private placeKey(texts: string[]): string {
    for (let at = 0; at < this.idCount; at += 1) if (texts[at] === '') return texts.join('\n');
    return this.idCount === 1 ? texts[0] : texts.slice(0, this.idCount).join('\n');
  }

  private meetDay(day: string) {
    if (day === this.lastDay) return;
    const { segment } = this;
    this.lastDay = day;
    this.lastDayNumber = dayNumber(day);
    this.lastDayFrom = segment.days.has(this.lastDayNumber) ? 0 : segment.rows;
    segment.days.add(this.lastDayNumber);
  }

  private put({ place, detail }: RowNumbers, figures: ArrayLike<number>, line: number) {
    const { segment } = this;
    const at = segment.rows;
    if (at === segment.line.length) grow(segment);
    segment.line[at] = line;
    segment.day[at] = this.lastDayNumber;
    segment.place[at] = place;
    segment.detail[at] = detail;
    for (let figure = 0; figure < segment.figures.length; figure += 1)
      segment.figures[figure][at] = figures[figure];
    segment.rows += 1;
  }
}

/** A piece of the file may hold more rows than a segment was made for. */
function grow(segment: Segment) {
  const longer = <T extends Int32Array | Float64Array>(column: T, make: (size: number) => T): T => {
    const grown = make(Math.max(1024, column.length * 2));
    grown.set(column);
    return grown;
  };
  const whole = (column: Int32Array) => longer(column, (size) => new Int32Array(size));
  segment.line = whole(segment.line);
  segment.day = whole(segment.day);
  segment.place = whole(segment.place);
  segment.detail = whole(segment.detail);
  segment.figures = segment.figures.map((column) => longer(column, (size) => new Float64Array(size)));
}

/** The texts of a new place by field. */
export function placeTexts(spec: ReportSpec, texts: string[]): Record<string, string> {
  return Object.fromEntries(placeFields(spec).map((field, at) => [field, texts[at]]));
}
