import { MowingError } from '../../contract/mowingError';
import { RecordReader } from './recordReader';
import { FileDecoder } from './textDecoder';

/** What parts the cells of the first line. */
export function delimiterOf(text: string): string {
  const first = text.slice(0, Math.max(0, text.indexOf('\n')));
  return [';', '\t', ','].find((one) => first.includes(one)) ?? ',';
}

/**
 * The lines of a small table whose columns are known by name, whatever parts its cells; empty lines are passed over.
 * @param what the file is called, for instance "change file" @param instead what to do when it is none
 * @throws MowingError when the first line lacks a column
 */
export function readNamedColumns<C extends string>(
  text: string,
  columns: readonly C[],
  { what, instead }: { what: string; instead: string },
): (Record<C, string> & { line: number })[] {
  let places: number[] | null = null;
  const lines: (Record<C, string> & { line: number })[] = [];
  const reader = new RecordReader(delimiterOf(text), (fields, line) => {
    if (places === null) {
      const headings = fields.map((field) => field.trim().toLowerCase());
      places = columns.map((column) => headings.indexOf(column));
      return;
    }
    if (fields.every((field) => field.trim() === '')) return;
    const cells = columns.map((column, at) => [column, fields[places![at]] ?? '']);
    lines.push({ ...(Object.fromEntries(cells) as Record<C, string>), line });
  });
  reader.push(text);
  reader.end();
  const found = places as number[] | null;
  const lacking = columns.filter((_, at) => (found?.[at] ?? -1) < 0);
  if (lacking.length > 0)
    throw new MowingError(
      'unreadable-file',
      `This is no ${what}: its first line has no column ${lacking.map((name) => `“${name}”`).join(', ')}. ${instead}`,
    );
  return lines;
}

/** All of a small file as text. @throws MowingError when it has more characters than `most` */
export async function readWhole(
  source: AsyncIterable<Uint8Array>,
  most: number,
  what: string,
): Promise<string> {
  const decoder = new FileDecoder();
  let text = '';
  for await (const part of source) {
    text += decoder.push(part);
    if (text.length > most)
      throw new MowingError('too-large', `The ${what} is larger than ${most / 1e6} MB.`);
  }
  return text + decoder.end();
}
