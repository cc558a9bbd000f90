import { MowingError } from '../../contract/mowingError';

/** Bytes of a file as text: UTF-8, or UTF-16 when the file begins with its mark. Refuses what is not text. */
export class FileDecoder {
  private decoder: TextDecoder | null = null;
  private bytes = 0;
  private lines = 1;
  encoding: 'utf-8' | 'utf-16le' | 'utf-16be' = 'utf-8';

  /** Text of the next bytes. @throws MowingError for bytes that are no text */
  push(part: Uint8Array): string {
    if (!this.decoder) this.open(part);
    return this.check(() => this.decoder!.decode(part, { stream: true }), part.length);
  }

  /** The text that was still waiting for bytes. @throws MowingError when the file ends inside a character */
  end(): string {
    return this.decoder ? this.check(() => this.decoder!.decode(), 0) : '';
  }

  private open(first: Uint8Array) {
    if (first[0] === 0xff && first[1] === 0xfe) this.encoding = 'utf-16le';
    else if (first[0] === 0xfe && first[1] === 0xff) this.encoding = 'utf-16be';
    this.decoder = new TextDecoder(this.encoding, { fatal: true });
  }

  private check(decode: () => string, length: number): string {
    let text: string;
    try {
      text = decode();
    } catch {
      throw new MowingError(
        'unreadable-file',
        `The file is not UTF-8 text: the bytes near line ${this.lines} (after ${this.bytes} bytes) are no characters. Nothing was taken in. Save it as “CSV UTF-8”, and check that it is a report and not a spreadsheet or archive.`,
      );
    }
    this.bytes += length;
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

function countLines(text: string): number {
  let count = 0;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) count += 1;
  return count;
}
