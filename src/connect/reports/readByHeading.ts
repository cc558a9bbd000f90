import { RecordReader } from './recordReader';

/**
 * The rows of a CSV text whose headings are known, each by its headings. For small files: all of it is kept.
 * @throws MowingError when a quote never closes
 */
export async function readByHeading(
  bytes: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
): Promise<Record<string, string>[]> {
  const rows: Record<string, string>[] = [];
  let headings: string[] | undefined;
  const reader = new RecordReader(',', (fields) => {
    if (headings) rows.push(Object.fromEntries(headings.map((heading, at) => [heading, fields[at] ?? ''])));
    else headings = fields;
  });
  const decoder = new TextDecoder();
  for await (const piece of bytes) reader.push(decoder.decode(piece, { stream: true }));
  reader.push(decoder.decode());
  reader.end();
  return rows;
}
