import { expect, test } from 'vitest';
import {
  checkPicture,
  checkPictureCount,
  checkTitles,
  combinationsOf,
  partsText,
  readParts,
  USUAL_LIMITS,
} from '.';
import type { AdRules } from '.';

const RULES: AdRules = {
  titles: { most: 2, longest: 20 },
  pictures: { most: 3, width: 600, height: 400, types: ['png', 'jpg'], mostBytes: 500_000 },
};
const codes = (titles: string[]) => checkTitles(titles, RULES, USUAL_LIMITS).map(({ code }) => code);

test('every fault of an ad’s titles is told at once', () => {
  expect(codes(['Dotted notebook', 'Lies flat'])).toEqual([]);
  expect(codes([' ', 'Lies flat when it is open', 'Half price!'])).toEqual([
    'too-many',
    'empty',
    'too-long',
    'refused-character',
  ]);
  expect(codes(['Dotted notebook', 'dotted  Notebook '])).toEqual(['twice']);
});

test('a picture has to be of the type and exactly of the size that the market takes, whatever its name says', () => {
  const good = { type: 'png', width: 600, height: 400, bytes: 500_000 };
  const told = (over: Partial<typeof good> | { type: undefined }) =>
    checkPicture({ ...good, ...over }, RULES).map(({ sentence }) => sentence);
  expect(told({})).toEqual([]);
  expect(told({ width: 601 })).toEqual(['It is 601 × 400 pixels; the market takes exactly 600 × 400.']);
  expect(told({ height: 4000, bytes: 600_001 })).toHaveLength(2);
  expect(told({ type: 'webp' })).toEqual(['It is WEBP; the market takes PNG or JPG.']);
  expect(told({ type: undefined })).toEqual(['It is no picture; the market takes PNG or JPG.']);
  expect(checkPictureCount(['a', 'b', 'c', 'a'], RULES).map(({ code }) => code)).toEqual([
    'too-many',
    'twice',
  ]);
});

test('shoppers see each picture with each title; without any, the product’s own', () => {
  expect(combinationsOf({ titles: ['A', 'B'], pictures: ['p', 'q', 'r'] })).toHaveLength(6);
  expect(combinationsOf({ titles: ['A'], pictures: [] })).toEqual([{ title: 'A', picture: null }]);
  expect(combinationsOf({ titles: [], pictures: [] })).toEqual([{ title: null, picture: null }]);
});

test('what an ad shows is kept as a text that comes back the same', () => {
  const parts = { titles: ['Notes “that” stay'], pictures: ['0a'] };
  expect(readParts(partsText(parts))).toEqual(parts);
  expect(partsText({ titles: [], pictures: [] })).toBeNull();
  expect(() => readParts('{"titles":[1],"pictures":[]}')).toThrow();
});
