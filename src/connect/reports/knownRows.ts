import type { Day } from '../../core/units';
import type { ReportField } from '../../contract/reportFields';
import type { Notation } from './figures';
import type { ReportSpec } from './reportSpec';

/** Numbers under which the receiver of rows knows a row's place and its detail. */
export interface RowNumbers {
  place: number;
  detail: number;
}

/** A row whose texts were all met before: numbers and figures only. Amounts in micros. */
export interface KnownRow extends RowNumbers {
  day: Day;
  /** In the order of the kind's figures. */
  figures: Float64Array;
}

/** What the quick lane has to know of a file. */
export interface KnownRowsRules {
  spec: ReportSpec;
  columns: Partial<Record<ReportField, number>>;
  width: number;
  delimiter: string;
  notation: Notation;
}

const ZERO = 48;
const QUOTE = 34;
const CARRIAGE_RETURN = 13;
const TENS = [1_000_000, 100_000, 10_000, 1_000, 100, 10, 1];
/** Texts remembered at once; beyond that they are learnt anew, so that memory stays constant. */
const MOST_KNOWN = 200_000;

/** Byte strings with the number each was given; found by hash, and compared byte by byte. */
class KnownTexts {
  private byHash = new Map<number, { bytes: Uint8Array; number: number }>();

  find(data: Uint8Array, hash: number, parts: Int32Array, count: number): number {
    const known = this.byHash.get(hash);
    if (known === undefined) return -1;
    let at = 0;
    for (let part = 0; part < count; part += 1) {
      for (let i = parts[2 * part]; i < parts[2 * part + 1]; i += 1, at += 1)
        if (known.bytes[at] !== data[i]) return -1;
      if (known.bytes[at] !== QUOTE) return -1;
      at += 1;
    }
    return at === known.bytes.length ? known.number : -1;
  }

  learn(data: Uint8Array, hash: number, parts: Int32Array, count: number, number: number) {
    if (this.byHash.size >= MOST_KNOWN) this.byHash.clear();
    const bytes: number[] = [];
    for (let part = 0; part < count; part += 1) {
      for (let i = parts[2 * part]; i < parts[2 * part + 1]; i += 1) bytes.push(data[i]);
      bytes.push(QUOTE); // no line that comes here holds one, so it parts the texts
    }
    this.byHash.set(hash, { bytes: Uint8Array.from(bytes), number });
  }
}

/**
 * The quick lane of the import: reads a line straight from its bytes when everything textual in it was met before.
 * Most lines of a report repeat day, place and detail and differ in plain figures. Whatever is unusual (a quote, a
 * grouped or signed figure, a new text) is left to the careful reader, from which this one learns; so it decides nothing
 * itself, and both give the same rows.
 */
export class KnownRows {
  private readonly ends: Int32Array;
  private readonly days: { bytes: Uint8Array; day: Day }[] = [];
  private lastDay: { bytes: Uint8Array; day: Day } = { bytes: new Uint8Array(), day: '' };
  private readonly places = new KnownTexts();
  private readonly details = new KnownTexts();
  private readonly placeColumns: number[];
  private readonly parts: Int32Array;
  private readonly detailPart = new Int32Array(2);
  private placeHash = 0;
  private detailHash = 0;
  private readonly delimiter: number;
  private readonly mark: number;
  private readonly isSure: boolean;
  private readonly currency: Uint8Array;
  private readonly columns: Partial<Record<ReportField, number>>;
  /** Column of the detail, -1 where the kind has none. */
  private readonly detailColumn: number;
  /** Columns of the figures, -1 for one that the file does not have; and which of them are amounts. */
  private readonly figureColumns: Int32Array;
  private readonly isAmount: boolean[];
  private readonly clicksAt: number;
  private readonly impressionsAt: number;
  private readonly row: KnownRow;

  constructor({ spec, columns, width, delimiter, notation }: KnownRowsRules) {
    const { mark, isSure, currency } = notation;
    this.columns = columns;
    this.delimiter = delimiter.charCodeAt(0);
    this.mark = mark.charCodeAt(0);
    this.isSure = isSure;
    this.currency = new TextEncoder().encode(currency);
    this.ends = new Int32Array(width + 1);
    const hasIds = spec.placeIds.every((field) => columns[field] !== undefined);
    const named = hasIds ? spec.placeIds : [...spec.placeIds, ...spec.placeNames];
    this.placeColumns = named.flatMap((field) => columns[field] ?? []);
    this.parts = new Int32Array(2 * this.placeColumns.length);
    this.detailColumn = spec.detail === null ? -1 : columns[spec.detail]!;
    this.figureColumns = Int32Array.from(spec.figures, ({ field }) => columns[field] ?? -1);
    this.isAmount = spec.figures.map(({ unit }) => unit === 'amount');
    this.clicksAt = spec.figures.findIndex(({ field }) => field === 'clicks');
    this.impressionsAt = spec.figures.findIndex(({ field }) => field === 'impressions');
    this.row = { day: '', place: 0, detail: 0, figures: new Float64Array(spec.figures.length) };
  }

  /** The row of a line, null when the careful reader has to look at it. The object is used again for the next line. */
  read(data: Uint8Array, start: number, end: number): KnownRow | null {
    if (!this.split(data, start, end)) return null;
    const { row } = this;
    const place = this.places.find(data, this.placeHash, this.parts, this.placeColumns.length);
    const detail =
      place < 0 || this.detailColumn < 0 ? 0 : this.details.find(data, this.detailHash, this.detailPart, 1);
    if (place < 0 || detail < 0) return null;
    const day = this.day(data);
    if (day === null || !this.isUsual(data)) return null;
    const { figures } = row;
    for (let at = 0; at < figures.length; at += 1) {
      const column = this.figureColumns[at];
      const value = column < 0 ? 0 : this.figure(data, column, this.isAmount[at]);
      if (value < 0) return null;
      figures[at] = value;
    }
    if (this.clicksAt >= 0 && figures[this.clicksAt] > figures[this.impressionsAt]) return null;
    row.day = day;
    row.place = place;
    row.detail = detail;
    return row;
  }

  /** Remembers the texts of a line that the careful reader has just taken. */
  learn(data: Uint8Array, start: number, end: number, day: Day, numbers: RowNumbers): void {
    if (!this.split(data, start, end)) return;
    const column = this.columns.day!;
    if (!this.holds(data, column, this.lastDay.bytes)) {
      this.lastDay = {
        bytes: Uint8Array.from(data.subarray(this.ends[column] + 1, this.ends[column + 1])),
        day,
      };
      // A hundred days in any order are found quickly enough one by one.
      if (this.days.length < 100 && this.days.every((one) => one.day !== day)) this.days.push(this.lastDay);
    }
    this.places.learn(data, this.placeHash, this.parts, this.placeColumns.length, numbers.place);
    if (this.detailColumn >= 0) this.details.learn(data, this.detailHash, this.detailPart, 1, numbers.detail);
  }

  /** Finds the fields and hashes place and detail. False for a quote or another number of columns. */
  private split(data: Uint8Array, start: number, end: number): boolean {
    const { ends, delimiter } = this;
    const width = ends.length - 1;
    const stop = end > start && data[end - 1] === CARRIAGE_RETURN ? end - 1 : end;
    let column = 0;
    ends[0] = start - 1;
    for (let at = start; at < stop; at += 1) {
      const byte = data[at];
      if (byte === QUOTE) return false;
      if (byte !== delimiter) continue;
      column += 1;
      if (column === width) return false;
      ends[column] = at;
    }
    if (column !== width - 1) return false;
    ends[width] = stop;
    let hash = 0x811c9dc5;
    for (let index = 0; index < this.placeColumns.length; index += 1) {
      const of = this.placeColumns[index];
      hash = this.hash(data, of, hash);
      this.parts[2 * index] = ends[of] + 1;
      this.parts[2 * index + 1] = ends[of + 1];
    }
    this.placeHash = hash & 0x3fffffff;
    const { detailColumn } = this;
    if (detailColumn < 0) return true;
    this.detailHash = this.hash(data, detailColumn, 0x811c9dc5) & 0x3fffffff;
    this.detailPart[0] = ends[detailColumn] + 1;
    this.detailPart[1] = ends[detailColumn + 1];
    return true;
  }

  private hash(data: Uint8Array, column: number, seed: number): number {
    let hash = seed;
    for (let at = this.ends[column] + 1; at < this.ends[column + 1]; at += 1)
      hash = Math.imul(hash ^ data[at], 0x01000193);
    return Math.imul(hash ^ QUOTE, 0x01000193);
  }

  /** The day of the line; mostly that of the line before. */
  private day(data: Uint8Array): Day | null {
    const column = this.columns.day!;
    if (this.holds(data, column, this.lastDay.bytes)) return this.lastDay.day;
    const known = this.days.find((one) => this.holds(data, column, one.bytes));
    if (known === undefined) return null;
    this.lastDay = known;
    return known.day;
  }

  private holds(data: Uint8Array, column: number, bytes: Uint8Array): boolean {
    const start = this.ends[column] + 1;
    if (this.ends[column + 1] - start !== bytes.length) return false;
    for (let at = 0; at < bytes.length; at += 1) if (data[start + at] !== bytes[at]) return false;
    return true;
  }

  /** Currency and last day as they must be; anything else is for the careful reader to tell. */
  private isUsual(data: Uint8Array): boolean {
    const { columns } = this;
    if (columns.currency !== undefined && !this.holds(data, columns.currency, this.currency)) return false;
    return columns.endDay === undefined || this.holds(data, columns.endDay, this.lastDay.bytes);
  }

  /** A plain figure, -1 for any other. Amounts in micros. */
  private figure(data: Uint8Array, column: number, isAmount: boolean): number {
    const start = this.ends[column] + 1;
    const end = this.ends[column + 1];
    if (start === end || end - start > 12) return -1;
    let value = 0;
    let places = -1;
    for (let at = start; at < end; at += 1) {
      const digit = data[at] - ZERO;
      if (digit >= 0 && digit <= 9) {
        value = value * 10 + digit;
        if (places >= 0) places += 1;
      } else if (isAmount && data[at] === this.mark && places < 0 && at > start && at + 1 < end) places = 0;
      else return -1;
    }
    if (!isAmount) return end - start > 9 ? -1 : value;
    // Three digits behind a mark that nothing told may be thousands.
    if (places === 3 && !this.isSure) return -1;
    if (places > 6 || end - start - Math.max(places, 0) > 9) return -1;
    return value * TENS[Math.max(places, 0)];
  }
}
