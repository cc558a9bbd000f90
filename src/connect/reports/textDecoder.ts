import { MowingError } from '../../contract/mowingError';

/** Bytes of a file as text: UTF-8, or UTF-16 when the file begins with its mark. Refuses what is not text. */
export class FileDecoder {
  private decoder: TextDecoder | null = null;
  private lines = 1;
  encoding: 'utf-8' | 'utf-16le' | 'utf-16be' = 'utf-8';

  /**
   * Text of the next bytes.
   * @param line the number of the line that they begin in, where lines were read past the decoder
   * @throws MowingError for bytes that are no text
   */
  push(part: Uint8Array, line = this.lines): string {
    if (!this.decoder) this.open(part);
    this.lines = line;
    return this.check(() => this.decoder!.decode(part, { stream: true }), part);
  }

  /** The text that was still waiting for bytes. @throws MowingError when the file ends inside a character */
  end(): string {
    return this.decoder ? this.check(() => this.decoder!.decode(), new Uint8Array()) : '';
  }

  private open(first: Uint8Array) {
    if (first[0] === 0xff && first[1] === 0xfe) this.encoding = 'utf-16le';
    else if (first[0] === 0xfe && first[1] === 0xff) this.encoding = 'utf-16be';
    this.decoder = new TextDecoder(this.encoding, { fatal: true });
  }

  private check(decode: () => string, part: Uint8Array): string {
    let text: string;
    try {
      text = decode();
    } catch {
      throw new MowingError(
        'unreadable-file',
        `The file is not ${this.encoding === 'utf-8' ? 'UTF-8' : 'UTF-16'} text: line ${this.lines + linesBefore(part, this.encoding)} holds bytes that are no characters. Nothing was taken in. Save it as “CSV UTF-8”, and check that it is a report and not a spreadsheet or archive.`,
      );
    }
    const nul = text.indexOf('\0');
    if (nul >= 0) {
      const line = this.lines + countLines(text.slice(0, nul));
      throw new MowingError(
        'unreadable-file',
        `Line ${line} holds a NUL byte, which no report has. Nothing was taken in. The file is damaged, or it is UTF-16 without its mark: save it as “CSV UTF-8”.`,
      );
    }
    this.lines += countLines(text);
    return text;
  }
}

/** Whole lines before the first that is no text. A line that began in an earlier part is taken as good if its rest is. */
function linesBefore(part: Uint8Array, encoding: string): number {
  if (encoding !== 'utf-8') return 0;
  let lines = 0;
  for (let start = 0; start < part.length; lines += 1) {
    const end = part.indexOf(10, start);
    const line = part.subarray(start, end < 0 ? part.length : end);
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(lines === 0 ? withoutBegun(line) : line);
    } catch {
      return lines;
    }
    if (end < 0) return lines;
    start = end + 1;
  }
  return lines;
}

/** Without the bytes that may end a character of the part before. */
function withoutBegun(line: Uint8Array): Uint8Array {
  let at = 0;
  while (at < 3 && at < line.length && (line[at] & 0xc0) === 0x80) at += 1;
  return line.subarray(at);
}

function countLines(text: string): number {
  let count = 0;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) count += 1;
  return count;
}
