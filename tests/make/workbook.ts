import { strToU8, zipSync } from 'fflate';

const RELATED = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** Parts of a workbook that a test writes as it likes; the rest is as a spreadsheet saves it. */
export interface BookSpec {
  /** Each sheet's rows, as elements. */
  sheets: string[];
  /** Elements of shared texts. */
  texts?: string;
  /** Elements of styles: own formats, then cell styles. Style 1 shows a day by default. */
  styles?: string;
  from1904?: boolean;
  /** Where the workbook says a sheet stands. */
  target?: (number: number) => string;
}

/** A packed workbook. */
export function aBook({ sheets, texts, styles, from1904, target }: BookSpec): Uint8Array {
  const each = (write: (number: number) => string) => sheets.map((_, at) => write(at + 1)).join('');
  const relation = (id: string, type: string, part: string) =>
    `<Relationship Id="${id}" Type="${RELATED}/${type}" Target="${part}"/>`;
  const parts: Record<string, string> = {
    '_rels/.rels': `<Relationships>${relation('a', 'officeDocument', 'xl/workbook.xml')}</Relationships>`,
    'xl/workbook.xml': `<workbook xmlns:r="${RELATED}"><workbookPr date1904="${from1904 ? 1 : 0}"/><sheets>${each(
      (number) => `<sheet name="s${number}" sheetId="${number}" r:id="r${number}"/>`,
    )}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships>${each((number) =>
      relation(`r${number}`, 'worksheet', target?.(number) ?? `worksheets/sheet${number}.xml`),
    )}${relation('t', 'sharedStrings', 'sharedStrings.xml')}${relation('s', 'styles', 'styles.xml')}</Relationships>`,
    'xl/styles.xml': `<styleSheet>${styles ?? '<cellXfs><xf numFmtId="0"/><xf numFmtId="14"/></cellXfs>'}</styleSheet>`,
    'xl/sharedStrings.xml': `<sst>${texts ?? ''}</sst>`,
  };
  sheets.forEach((rows, at) => {
    parts[`xl/worksheets/sheet${at + 1}.xml`] = `<worksheet><sheetData>${rows}</sheetData></worksheet>`;
  });
  return zipSync(Object.fromEntries(Object.entries(parts).map(([name, xml]) => [name, strToU8(xml)])));
}

/** A workbook with real days and numbers, as a spreadsheet saves it: an empty sheet, then one with the rows. */
export function aWorkbook(rows: (Date | string | number)[][]): Uint8Array {
  const texts = [...new Set(rows.flat().filter((cell) => typeof cell === 'string'))];
  const cellXml = (cell: Date | string | number) => {
    if (cell instanceof Date) return `<c s="1"><v>${cell.getTime() / 86_400_000 + 25_569}</v></c>`;
    return typeof cell === 'number' ? `<c><v>${cell}</v></c>` : `<c t="s"><v>${texts.indexOf(cell)}</v></c>`;
  };
  const rowsXml = rows.map((row, at) => `<row r="${at + 1}">${row.map(cellXml).join('')}</row>`);
  return aBook({
    sheets: ['', rowsXml.join('')],
    texts: texts.map((text) => `<si><t>${text}</t></si>`).join(''),
  });
}
