import { isItemCode, normaliseTerm, writeItemCode } from '../matching';

/** What was pasted, parted into terms and item codes. */
export interface PastedLines {
  terms: string[];
  codes: string[];
  /** How often a term or code stood there again: it is taken once. */
  again: number;
}

/** Lines parted by a line's end, comma, semicolon or tab; quotes around one are taken off. */
export function readPasted(text: string): PastedLines {
  const seen = new Set<string>();
  const lines: PastedLines = { terms: [], codes: [], again: 0 };
  for (const piece of text.split(/[\n\r,;\t]+/)) {
    const line = piece
      .trim()
      .replace(/^["“”'«»](.*)["“”'«»]$/u, '$1')
      .replace(/\s+/g, ' ')
      .trim();
    if (line === '') continue;
    const key = normaliseTerm(line);
    if (seen.has(key)) {
      lines.again += 1;
      continue;
    }
    seen.add(key);
    if (isItemCode(line)) lines.codes.push(writeItemCode(line));
    else lines.terms.push(line);
  }
  return lines;
}
