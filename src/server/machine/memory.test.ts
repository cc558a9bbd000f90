import { afterEach, expect, test } from 'vitest';
import { memoryTrouble, needMemory } from './memory';

afterEach(() => delete process.env.MOWING_LEAST_MEMORY_MB);
const least = (megabytes: number) => (process.env.MOWING_LEAST_MEMORY_MB = String(megabytes));
const free = Math.round(process.availableMemory() / 1e6);

test('a machine short of memory warns first, and then takes no file in', () => {
  least(free / 2);
  expect(memoryTrouble()).toBeNull();
  needMemory();
  least(free * 1.5);
  expect(memoryTrouble()).toMatch(/^The machine has [\d,]+ MB of memory left\. /);
  expect(memoryTrouble()).not.toContain('no imports');
  needMemory();
  least(free * 4);
  expect(memoryTrouble()).toContain('until then no imports are taken');
  expect(() => needMemory()).toThrow(/too little for a file\. Nothing was taken in/);
});
