/** What a workbook consists of, by the open standard ISO/IEC 29500 (Office Open XML). */
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const RELATED = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006';
const TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
const DECLARED = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';
const LONGEST_TITLE = 31;

/** Where a sheet stands. @param number from 1 */
export const sheetPart = (number: number): string => `xl/worksheets/sheet${number}.xml`;
export const SHEET_HEAD = `${DECLARED}<worksheet xmlns="${MAIN}"><sheetData>`;
export const SHEET_FOOT = '</sheetData></worksheet>';

/** All parts but the sheets, by name. @param titles of the sheets; two of one name are told apart by a number */
export function bookParts(titles: readonly string[]): Record<string, string> {
  const names = namesOf(titles);
  const each = (write: (number: number, name: string) => string) =>
    names.map((name, at) => write(at + 1, escaped(name))).join('');
  return {
    '[Content_Types].xml':
      `${DECLARED}<Types xmlns="${PACKAGE}/content-types">` +
      '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/>' +
      `<Override PartName="/xl/workbook.xml" ContentType="${TYPE}.sheet.main+xml"/>` +
      `${each((number) => `<Override PartName="/${sheetPart(number)}" ContentType="${TYPE}.worksheet+xml"/>`)}</Types>`,
    '_rels/.rels': relations('officeDocument', ['xl/workbook.xml']),
    'xl/workbook.xml':
      `${DECLARED}<workbook xmlns="${MAIN}" xmlns:r="${RELATED}"><sheets>` +
      `${each((number, name) => `<sheet name="${name}" sheetId="${number}" r:id="rId${number}"/>`)}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': relations(
      'worksheet',
      names.map((_, at) => `worksheets/sheet${at + 1}.xml`),
    ),
  };
}

/** What sheets may be called: no longer than 31 letters, without some signs, each once. */
function namesOf(titles: readonly string[]): string[] {
  const taken = new Set<string>();
  return titles.map((title) => {
    const plain = title.replace(/[[\]:*?/\\]/g, ' ').slice(0, LONGEST_TITLE);
    let name = plain;
    for (let number = 2; taken.has(name.toLowerCase()); number += 1)
      name = `${plain.slice(0, LONGEST_TITLE - 4)} ${number}`;
    taken.add(name.toLowerCase());
    return name;
  });
}

const relations = (type: string, targets: readonly string[]) =>
  `${DECLARED}<Relationships xmlns="${PACKAGE}/relationships">` +
  `${targets.map((target, at) => `<Relationship Id="rId${at + 1}" Type="${RELATED}/${type}" Target="${target}"/>`).join('')}</Relationships>`;

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
