import { expect, test } from 'vitest';
import { inTurn } from './inTurn';

test('works of one name wait for each other, a failed one too; only the last is told so', async () => {
  const told: string[] = [];
  const work = (name: string, ms: number, fails = false) =>
    inTurn('costs', async (isLast) => {
      await new Promise((resolve) => setTimeout(resolve, ms));
      told.push(`${name}${isLast() ? ', last' : ''}`);
      if (fails) throw new Error(name);
      return name;
    });
  const answers = await Promise.allSettled([work('slow', 30), work('wrong', 10, true), work('quick', 0)]);
  expect(told).toEqual(['slow', 'wrong', 'quick, last']);
  expect(answers.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled']);
  expect(await inTurn('other', async (isLast) => isLast())).toBe(true);
});
