import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { RIGHTS } from '../../contract/people';
import type { Endpoint } from './endpoint';

const folder = path.resolve('src/pages/api');
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];

const listFiles = (at: string): string[] =>
  readdirSync(at).flatMap((name) => {
    const full = path.join(at, name);
    return statSync(full).isDirectory() ? listFiles(full) : [full];
  });

describe('every module of the endpoints', () => {
  const files = listFiles(folder);

  test('is looked at here', () => expect(files.length).toBeGreaterThan(40));

  test.each(files.map((file) => [path.relative(folder, file), file]))(
    '%s says who may call it',
    async (_, file) => {
      const module = (await import(file)) as Record<string, Endpoint>;
      const methods = Object.keys(module);
      expect(methods.length).toBeGreaterThan(0);
      for (const method of methods) {
        expect(METHODS).toContain(method);
        expect([...RIGHTS, 'self', 'anyone']).toContain(module[method].may);
        // What only looks changes nothing; what changes something is no GET.
        if (method === 'GET') expect(['see', 'self', 'anyone', 'own']).toContain(module[method].may);
      }
    },
  );
});
