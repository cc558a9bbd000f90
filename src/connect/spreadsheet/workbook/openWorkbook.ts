import path from 'node:path/posix';
import { openArchive } from './archive';
import type { Archive } from './archive';
import { cellStyles } from './styles';
import type { ShownAs } from './styles';
import { readWhole } from './readXml';

/** A workbook, open for reading. */
export interface Workbook {
  archive: Archive;
  /** Parts that hold the sheets, in the order of their tabs. */
  sheets: string[];
  /** Texts that cells name by number. */
  texts: string[];
  /** What the styles show their number as. */
  styles: ShownAs[];
  countsFrom1904: boolean;
}

/** Opens a workbook and reads all but its sheets. Close its archive. @throws Error when it is damaged */
export async function openWorkbook(file: string): Promise<Workbook> {
  const archive = await openArchive(file);
  const top = await related(archive, '');
  const main = top.find(({ type }) => type === 'officeDocument')?.part ?? 'xl/workbook.xml';
  const around = await related(archive, main);
  const partOf = (type: string) => around.find((one) => one.type === type && archive.has(one.part))?.part;
  const { ids, countsFrom1904 } = await readSheetList(archive, main);
  const [texts, styles] = [partOf('sharedStrings'), partOf('styles')];
  return {
    archive,
    sheets: ids.flatMap((id) => {
      const sheet = around.find((one) => one.id === id);
      return sheet?.type === 'worksheet' && archive.has(sheet.part) ? [sheet.part] : [];
    }),
    texts: texts === undefined ? [] : await readTexts(await archive.part(texts)),
    styles: styles === undefined ? [] : await cellStyles(await archive.part(styles)),
    countsFrom1904,
  };
}

/** What a part is related to, as the part beside it tells: ids, the last word of each type, parts. */
async function related(archive: Archive, of: string): Promise<{ id: string; type: string; part: string }[]> {
  const list = path.join(path.dirname(of), '_rels', `${path.basename(of)}.rels`);
  if (!archive.has(list)) return [];
  const found: { id: string; type: string; part: string }[] = [];
  await readWhole(await archive.part(list), {
    open: (name, attribute) => {
      const target = attribute('Target');
      if (name !== 'Relationship' || target === undefined) return;
      const part = target.startsWith('/') ? target.slice(1) : path.join(path.dirname(of), target);
      found.push({ id: attribute('Id') ?? '', type: path.basename(attribute('Type') ?? ''), part });
    },
  });
  return found;
}

async function readSheetList(
  archive: Archive,
  main: string,
): Promise<{ ids: string[]; countsFrom1904: boolean }> {
  const ids: string[] = [];
  let countsFrom1904 = false;
  await readWhole(await archive.part(main), {
    open: (name, attribute) => {
      if (name === 'sheet') ids.push(attribute('r:id') ?? '');
      if (name === 'workbookPr') countsFrom1904 = ['1', 'true'].includes(attribute('date1904') ?? '');
    },
  });
  return { ids, countsFrom1904 };
}

/** The texts that cells share: those of one text's runs follow each other, hints on how to say it are left out. */
async function readTexts(bytes: AsyncIterable<Uint8Array>): Promise<string[]> {
  const texts: string[] = [];
  let text = '';
  let isText = false;
  let isHint = false;
  await readWhole(bytes, {
    open: (name) => {
      if (name === 'si') text = '';
      if (name === 'rPh') isHint = true;
      isText = name === 't' && !isHint;
    },
    text: (piece) => {
      if (isText) text += piece;
    },
    close: (name) => {
      isText = false;
      if (name === 'rPh') isHint = false;
      if (name === 'si') texts.push(text);
    },
  });
  return texts;
}
