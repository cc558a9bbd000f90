import { SaxesParser } from 'saxes';

/** What a reader of a document does at each element; names come without their prefix. */
export interface XmlReader {
  open?: (name: string, attribute: (name: string) => string | undefined) => void;
  text?: (text: string) => void;
  close?: (name: string) => void;
}

/**
 * Reads a document piece by piece and yields after each, so that what the reader has gathered can go on. Entities of
 * the document's own are not followed.
 * @throws Error when the document is not well formed
 */
export async function* readXml(bytes: AsyncIterable<Uint8Array>, reader: XmlReader): AsyncGenerator<void> {
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  const { open, text, close } = reader;
  parser.on('opentag', ({ name, attributes }) => {
    open?.(local(name), (wanted) => attributes[wanted]);
  });
  if (text) parser.on('text', text);
  if (close) parser.on('closetag', ({ name }) => close(local(name)));
  const decoder = new TextDecoder();
  for await (const piece of bytes) {
    parser.write(decoder.decode(piece, { stream: true }));
    yield;
  }
  parser.write(decoder.decode());
  parser.close();
  yield;
}

/** Reads a document to its end. */
export async function readWhole(bytes: AsyncIterable<Uint8Array>, reader: XmlReader): Promise<void> {
  const pieces = readXml(bytes, reader);
  while (!(await pieces.next()).done);
}

const local = (name: string) => name.slice(name.indexOf(':') + 1);
