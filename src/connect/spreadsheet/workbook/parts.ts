/** What a workbook of one sheet consists of, by the open standard ISO/IEC 29500 (Office Open XML). */
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATED = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';
const TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
const DECLARED = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const LONGEST_TITLE = 31;

export const SHEET_PART = 'xl/worksheets/sheet1.xml';
export const SHEET_HEAD = `${DECLARED}<worksheet xmlns="${MAIN}"><sheetData>`;
export const SHEET_FOOT = '</sheetData></worksheet>';

/** All parts but the sheet, by name. @param title of the sheet */
export function bookParts(title: string): Record<string, string> {
  const name = escaped(title.replace(/[[\]:*?/\\]/g, ' ').slice(0, LONGEST_TITLE));
  return {
    '[Content_Types].xml':
      `${DECLARED}<Types xmlns="${PACKAGE}/content-types">` +
      '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>' +
      `<Override PartName="/xl/workbook.xml" ContentType="${TYPE}.sheet.main+xml"/>` +
      `<Override PartName="/${SHEET_PART}" ContentType="${TYPE}.worksheet+xml"/></Types>`,
    '_rels/.rels': relation('officeDocument', 'xl/workbook.xml'),
    'xl/workbook.xml':
      `${DECLARED}<workbook xmlns="${MAIN}" xmlns:r="${RELATED}"><sheets>` +
      `<sheet name="${name}" sheetId="1" r:id="rId1"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': relation('worksheet', 'worksheets/sheet1.xml'),
  };
}

const relation = (type: string, target: string) =>
  `${DECLARED}<Relationships xmlns="${PACKAGE}/relationships">` +
  `<Relationship Id="rId1" Type="${RELATED}/${type}" Target="${target}"/></Relationships>`;

/** A row of a sheet. @param number from 1 */
export function rowXml(number: number, cells: readonly (string | number)[]): string {
  return `<row r="${number}">${cells.map(cellXml).join('')}</row>`;
}

function cellXml(cell: string | number): string {
  if (typeof cell === 'number') return Number.isFinite(cell) ? `<c><v>${cell}</v></c>` : '<c/>';
  if (cell === '') return '<c/>';
  return `<c t="inlineStr"><is><t xml:space="preserve">${escaped(cell)}</t></is></c>`;
}

/** Text of a document: what may not stand in one at all is left out. */
function escaped(text: string): string {
  return text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/\r/g, '&#13;');
}
