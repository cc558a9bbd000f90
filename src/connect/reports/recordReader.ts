import { MowingError } from '../../contract/mowingError';

/** A record longer than this can only be a quote that never closes. */
const LONGEST_RECORD = 262_144;
const QUOTE = '"';

/**
 * Splits delimited text (RFC 4180: quotes doubled, line ends inside quotes) into records, chunk by chunk.
 * Written by hand because the import has to keep up with a third of a bare COPY: a line without quotes, which is
 * nearly every line of a report, costs one indexOf and one split.
 */
export class RecordReader {
  private rest = '';
  private line = 1;
  private endedWithLineEnd = true;
  private readonly delimiter: string;
  private readonly onRecord: (fields: string[], line: number) => void;

  constructor(delimiter: string, onRecord: (fields: string[], line: number) => void) {
    this.delimiter = delimiter;
    this.onRecord = onRecord;
  }

  /** Takes the next piece of text and hands on every record that is complete. */
  push(text: string): void {
    const all = this.rest === '' ? text : this.rest + text;
    let at = 0;
    for (;;) {
      const next = this.recordAt(all, at);
      if (next < 0) break;
      at = next;
    }
    this.rest = all.slice(at);
    if (this.rest.length > LONGEST_RECORD) throw this.unclosed();
  }

  /** Whether the next text belongs to a record that has begun already. */
  get isOpen(): boolean {
    return this.rest !== '';
  }

  /** The number of the line that the next text begins in. */
  get nextLine(): number {
    let lines = this.line;
    for (let at = this.rest.indexOf('\n'); at >= 0; at = this.rest.indexOf('\n', at + 1)) lines += 1;
    return lines;
  }

  /** Counts a line that somebody else has read, and returns its number. */
  passLine(): number {
    this.line += 1;
    return this.line - 1;
  }

  /**
   * Hands on the last record when the text did not end with a line end.
   * @throws when a quote is still open
   */
  end(): { endedWithLineEnd: boolean } {
    if (this.rest !== '') {
      this.endedWithLineEnd = false;
      const last = this.rest;
      this.rest = '';
      if (this.recordAt(`${last}\n`, 0) < 0) throw this.unclosed();
    }
    return { endedWithLineEnd: this.endedWithLineEnd };
  }

  /** Hands on the record that starts at `at`; returns where the next one starts, -1 when it is not complete. */
  private recordAt(all: string, at: number): number {
    const end = all.indexOf('\n', at);
    if (end < 0) return -1;
    const line = all.slice(at, all.charCodeAt(end - 1) === 13 && end > at ? end - 1 : end);
    if (!line.includes(QUOTE)) {
      if (line !== '') this.onRecord(line.split(this.delimiter), this.line);
      this.line += 1;
      return end + 1;
    }
    return this.quotedRecordAt(all, at);
  }

  private quotedRecordAt(all: string, start: number): number {
    const fields: string[] = [];
    let at = start;
    let lines = 0;
    for (;;) {
      let field = '';
      if (all[at] === QUOTE) {
        for (;;) {
          const close = all.indexOf(QUOTE, at + 1);
          if (close < 0 || close + 1 >= all.length) return -1;
          field += all.slice(at + 1, close);
          at = close + 1;
          if (all[at] !== QUOTE) break;
          field += QUOTE;
        }
        lines += field.split('\n').length - 1;
      }
      // Text up to the delimiter or line end; also what stands, against the rule, behind a closing quote.
      let stop = at;
      while (stop < all.length && all[stop] !== this.delimiter && all[stop] !== '\n') stop += 1;
      if (stop >= all.length) return -1;
      field += all.slice(at, all[stop] === '\n' && all[stop - 1] === '\r' && stop > at ? stop - 1 : stop);
      fields.push(field);
      at = stop + 1;
      if (all[stop] === '\n') break;
    }
    this.onRecord(fields, this.line);
    this.line += lines + 1;
    return at;
  }

  private unclosed(): MowingError {
    return new MowingError(
      'unreadable-file',
      `The quote that opens on line ${this.line} never closes. Nothing was taken in. Close the quote there, or fetch the report again.`,
    );
  }
}
