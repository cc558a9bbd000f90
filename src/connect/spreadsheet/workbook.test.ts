import { unzipSync, strFromU8 } from 'fflate';
import { describe, expect, test } from 'vitest';
import { aBook, aWorkbook } from '../../../tests/make/workbook';
import type { BookSpec } from '../../../tests/make/workbook';
import { asText, csvLine, writeWorkbook } from '.';
import { dayOfNumber } from './workbook/days';
import { shownAs } from './workbook/styles';

const inPieces = async function* (bytes: Uint8Array, size = 500) {
  for (let at = 0; at < bytes.length; at += size) {
    await Promise.resolve();
    yield bytes.subarray(at, at + size);
  }
};

async function read(bytes: Uint8Array): Promise<string> {
  const decoder = new TextDecoder();
  let text = '';
  for await (const piece of asText(inPieces(bytes))) text += decoder.decode(piece, { stream: true });
  return text;
}

const readBook = (spec: BookSpec) => read(aBook(spec));
const readRow = (cells: string, spec: Partial<BookSpec> = {}) =>
  readBook({ sheets: [`<row r="1">${cells}</row>`], ...spec });

describe('a workbook is read', () => {
  test('from the first sheet that has rows, each row on the line of its number', async () => {
    const sheets = [
      '',
      '<row r="1"><c/></row>',
      '<row r="2"><c><v>1</v></c></row><row r="5"><c><v>2</v></c></row>',
      '<row><c><v>9</v></c></row>',
    ];
    expect(await readBook({ sheets })).toBe('\n1\n\n\n2\n');
  });

  test('wherever its sheets stand, and with the prefix that some programs write', async () => {
    const sheets = ['<x:row xmlns:x="a"><x:c><x:v>7</x:v></x:c></x:row>'];
    expect(await readBook({ sheets, target: (number) => `/xl/worksheets/sheet${number}.xml` })).toBe('7\n');
  });

  test('cell by cell, where each says it stands', async () => {
    expect(await readRow('<c r="B1"><v>1</v></c><c><v>2</v></c><c r="AA1"><v>3</v></c>')).toBe(
      `,1,2${','.repeat(24)}3\n`,
    );
  });

  test('with texts in all the ways they are kept', async () => {
    const texts =
      '<si><t>plain</t></si><si><r><t>two </t></r><r><t xml:space="preserve">runs</t></r><rPh><t>hint</t></rPh></si>';
    const cells =
      '<c t="s"><v>0</v></c><c t="s"><v>1</v></c><c t="inlineStr"><is><t>in, &quot;line&quot;</t></is></c><c t="str"><f>A1&amp;"x"</f><v>made</v></c>';
    expect(await readRow(cells, { texts })).toBe('plain,two runs,"in, ""line""",made\n');
  });

  test('with what a formula came to; one that was saved without is no nothing, and a fault stays a fault', async () => {
    const cells =
      '<c><f>1+1</f><v>2</v></c><c><f>A1*2</f></c><c t="e"><v>#DIV/0!</v></c><c t="str"><f>""</f><v></v></c><c><v>5</v></c>';
    expect(await readRow(cells)).toBe('2,#formula without a saved result,#DIV/0!,,5\n');
  });

  test('each row as wide as the widest before it: a last cell that says nothing is an empty one', async () => {
    const sheets = [
      '<row r="1"><c><v>1</v></c><c><v>2</v></c><c><v>3</v></c></row><row r="2"><c><v>4</v></c><c/><c/></row>',
    ];
    expect(await readBook({ sheets })).toBe('1,2,3\n4,,\n');
  });

  test('with numbers as they are: no noise of the last digits, no digit of a long one lost', async () => {
    const numbers = ['0.30000000000000004', '275.6', '1.5E3', '12345678901234567', '-0.25', '1E-5'];
    const cells = numbers.map((number) => `<c><v>${number}</v></c>`).join('');
    expect(await readRow(cells)).toBe('0.3,275.6,1500,12345678901234567,-0.25,0.00001\n');
  });

  test('with yes and no as words, and the fault a formula ended in as it stands', async () => {
    expect(await readRow('<c t="b"><v>1</v></c><c t="b"><v>0</v></c><c t="e"><v>#N/A</v></c>')).toBe(
      'true,false,#N/A\n',
    );
  });

  test('with a number as a day only where its style shows one', async () => {
    const styles =
      '<numFmts><numFmt numFmtId="170" formatCode="dd\\.mm\\.yyyy"/><numFmt numFmtId="171" formatCode="0.00&quot;d&quot;"/></numFmts>' +
      '<cellStyleXfs><xf numFmtId="14"/></cellStyleXfs>' +
      '<cellXfs><xf numFmtId="0"/><xf numFmtId="22"/><xf numFmtId="170"/><xf numFmtId="171"/><xf numFmtId="20"/></cellXfs>';
    const cells = [0, 1, 2, 3, 4].map((style) => `<c s="${style}"><v>46300.5</v></c>`).join('');
    expect(await readRow(cells, { styles })).toBe('46300.5,2026-10-05,2026-10-05,46300.5,46300.5\n');
    expect(await readRow('<c t="d"><v>2026-10-05T08:00:00</v></c>')).toBe('2026-10-05\n');
  });

  test('with a number as a percentage only where its style shows one', async () => {
    const styles =
      '<numFmts><numFmt numFmtId="170" formatCode="0.0\\ %"/><numFmt numFmtId="171" formatCode="0.00&quot;%&quot;"/></numFmts>' +
      '<cellXfs><xf numFmtId="0"/><xf numFmtId="9"/><xf numFmtId="170"/><xf numFmtId="171"/></cellXfs>';
    const cells = [0, 1, 2, 3].map((style) => `<c s="${style}"><v>0.29</v></c>`).join('');
    expect(await readRow(cells, { styles })).toBe('0.29,29%,29%,0.29\n');
  });

  test('with its days by the count it says it uses', async () => {
    expect(await readRow('<c s="1"><v>44838</v></c>', { from1904: true })).toBe('2026-10-05\n');
  });

  test.each([
    ['a row that goes back', '<row r="4"><c><v>1</v></c></row><row r="3"><c><v>1</v></c></row>'],
    ['a row that no sheet has', '<row r="900000000"><c><v>1</v></c></row>'],
    ['a cell that goes back', '<row><c r="C1"><v>1</v></c><c r="B1"><v>1</v></c></row>'],
    ['a text that is not there', '<row><c t="s"><v>3</v></c></row>'],
    ['an element that never closes', '<row><c><v>1</v></c>'],
    ['an entity of its own', '<row><c t="str"><v>&big;</v></c></row>'],
  ])('never with %s', async (_, rows) => {
    await expect(readBook({ sheets: [rows] })).rejects.toThrow('could not be read. Nothing was taken in.');
  });
});

describe('a format shows a day', () => {
  test.each(['yyyy-mm-dd', 'd. mmmm', '[$-409]mmm yy', 'm/d/yy h:mm', 'mmm', 'dd/mm/yyyy;@'])(
    'when it is “%s”',
    (format) => {
      expect(shownAs(format)).toBe('day');
    },
  );

  test.each(['General', '0.00', '#,##0 [$USD]', '"days" 0', '[Red]0.0', 'h:mm:ss', '[mm]:ss', '0\\d', '@'])(
    'not when it is “%s”',
    (format) => {
      expect(shownAs(format)).toBe('number');
    },
  );

  test('and the count of days has no day before the fault of 1900, nor after 9999', () => {
    expect([60, 61, 2_958_465, 2_958_466].map((day) => dayOfNumber(day, false))).toEqual([
      null,
      '1900-03-01',
      '9999-12-31',
      null,
    ]);
    expect(dayOfNumber(0, true)).toBe('1904-01-01');
  });
});

describe('a workbook is written', () => {
  async function written(title: string, rows: (string | number)[][]): Promise<Uint8Array> {
    const pieces: Uint8Array[] = [];
    for await (const piece of writeWorkbook(title, ['Term', 'Clicks'], inTurn(rows))) pieces.push(piece);
    return new Uint8Array(Buffer.concat(pieces));
  }
  async function* inTurn<T>(items: T[]) {
    await Promise.resolve();
    yield* items;
  }

  test('and read back is what it was: numbers, commas, quotes, marks, line ends, other scripts', async () => {
    const rows = [
      ['jar, "glass" & <lid>', 12],
      ['', 0.25],
      [' two\nlines ', -3],
      ['ßtraße 陶器 🫙', 1e-7],
    ];
    const back = [['Term', 'Clicks'], ...rows].map(csvLine).join('').replace('1e-7', '0.0000001');
    expect(await read(await written('Terms', rows))).toBe(back);
  });

  test('with nothing in it that a spreadsheet would run', async () => {
    expect(await read(await written('Terms', [['=1+1', 1]]))).toBe("Term,Clicks\n'=1+1,1\n");
  });

  test('with a title that a spreadsheet takes, and without letters that no document may hold', async () => {
    const book = unzipSync(
      await written('Terms [a/b] & very much more than fits', [['a\u0001b', Number.NaN]]),
    );
    expect(strFromU8(book['xl/workbook.xml'])).toContain('name="Terms  a b  &amp; very much more th"');
    expect(strFromU8(book['xl/worksheets/sheet1.xml'])).toContain('>ab</t></is></c><c/></row>');
  });

  test('in pieces, while its rows come', async () => {
    let made = 0;
    async function* many() {
      for (; made < 50_000; made += 1) {
        if (made % 1000 === 0) await Promise.resolve();
        yield [`term ${made} ${Math.sin(made)}`, made];
      }
    }
    const pieces = writeWorkbook('Terms', ['Term', 'Clicks'], many());
    await pieces.next();
    expect(made).toBeLessThan(10_000);
    let size = 0;
    for await (const piece of pieces) size += piece.length;
    expect([made, size > 500_000]).toEqual([50_000, true]);
  });
});

test('a workbook of a spreadsheet is read as it was written', async () => {
  expect(
    await read(aWorkbook([['Date', 'Sales'], [new Date(Date.UTC(2026, 9, 5)), 275.6], [], ['x', 0]])),
  ).toBe('Date,Sales\n2026-10-05,275.6\n\nx,0\n');
});
