import type { Finding, MarketLimits } from './limits';

/** What a market lets an ad show in place of its product's own title and picture. */
export interface AdRules {
  titles: { most: number; longest: number };
  /** Width and height exactly, in pixels. */
  pictures: { most: number; width: number; height: number; types: PictureType[]; mostBytes: number };
}

export const PICTURE_TYPES = ['png', 'jpg'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** What an ad shows in turn in place of its product's own; none: its own. Pictures by their ids. */
export interface AdParts {
  titles: string[];
  pictures: string[];
}

/** What is known of a picture file. */
export interface PictureFile {
  /** As its bytes tell, whatever its name says; undefined where they are no picture. */
  type: string | undefined;
  width: number;
  height: number;
  bytes: number;
}

/** What the market refuses in the titles of an ad. */
export function checkTitles(titles: readonly string[], rules: AdRules, limits: MarketLimits): Finding[] {
  const { most, longest } = rules.titles;
  const findings = tooMany('titles', titles.length, most);
  titles.forEach((title, at) => {
    const length = [...title].length;
    const refused = [...title].find((character) => limits.refusedCharacters.includes(character));
    const of = `Title ${at + 1}`;
    if (title.trim() === '') findings.push({ code: 'empty', sentence: `${of} is empty.` });
    if (length > longest)
      findings.push({
        code: 'too-long',
        sentence: `${of} has ${length} characters; the market takes ${longest}.`,
      });
    if (refused !== undefined)
      findings.push({
        code: 'refused-character',
        sentence: `${of}: the market refuses the character “${refused}”.`,
      });
    if (titles.findIndex((one) => alike(one) === alike(title)) < at)
      findings.push({ code: 'twice', sentence: `${of} says what another one says already.` });
  });
  return findings;
}

const alike = (title: string) => title.trim().replace(/\s+/g, ' ').toLowerCase();

/** What the market refuses in the number of an ad's pictures, and in one that is named twice. */
export function checkPictureCount(pictures: readonly string[], { pictures: { most } }: AdRules): Finding[] {
  const findings = tooMany('pictures', pictures.length, most);
  if (new Set(pictures).size < pictures.length)
    findings.push({ code: 'twice', sentence: 'A picture is there twice.' });
  return findings;
}

const tooMany = (what: string, count: number, most: number): Finding[] =>
  count > most
    ? [{ code: 'too-many', sentence: `An ad has at most ${most} ${what} on this market, not ${count}.` }]
    : [];

/** What the market refuses in a picture file: everything at once. */
export function checkPicture(file: PictureFile, { pictures }: AdRules): Finding[] {
  const { types, width, height, mostBytes } = pictures;
  const wanted = types.map((type) => type.toUpperCase()).join(' or ');
  if (!types.some((type) => type === file.type))
    return [
      {
        code: 'not-this-type',
        sentence: `It is ${file.type === undefined ? 'no picture' : file.type.toUpperCase()}; the market takes ${wanted}.`,
      },
    ];
  const findings: Finding[] = [];
  if (file.width !== width || file.height !== height)
    findings.push({
      code: 'not-this-size',
      sentence: `It is ${file.width} × ${file.height} pixels; the market takes exactly ${width} × ${height}.`,
    });
  if (file.bytes > mostBytes)
    findings.push({
      code: 'too-many-bytes',
      sentence: `It has ${Math.ceil(file.bytes / 1000)} kB; the market takes ${Math.floor(mostBytes / 1000)} kB.`,
    });
  return findings;
}

/** Every combination that shoppers may see, in order; null: the product's own. */
export function combinationsOf({
  titles,
  pictures,
}: AdParts): { title: string | null; picture: string | null }[] {
  const either = <T>(list: readonly T[]): (T | null)[] => (list.length > 0 ? [...list] : [null]);
  return either(pictures).flatMap((picture) => either(titles).map((title) => ({ title, picture })));
}

/** Parts as they are kept and changed: the same parts are the same text. Null: the product's own. */
export const partsText = ({ titles, pictures }: AdParts): string | null =>
  titles.length + pictures.length === 0 ? null : JSON.stringify({ titles, pictures });

/** @param text as `partsText` wrote it @throws Error for any other text */
export function readParts(text: string | null): AdParts {
  if (text === null) return { titles: [], pictures: [] };
  const { titles, pictures } = JSON.parse(text) as AdParts;
  if (
    ![titles, pictures].every((list) => Array.isArray(list) && list.every((one) => typeof one === 'string'))
  )
    throw new Error('These are no titles and pictures.');
  return { titles, pictures };
}
