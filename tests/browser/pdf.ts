import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The text of every page of a PDF, words parted by single spaces. */
export async function pagesOf(pdf: Buffer): Promise<string[]> {
  const book = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: true, verbosity: 0 }).promise;
  const pages: string[] = [];
  for (let number = 1; number <= book.numPages; number += 1) {
    const { items } = await (await book.getPage(number)).getTextContent();
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    );
  }
  await book.destroy();
  return pages;
}
