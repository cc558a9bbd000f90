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

/** Role × endpoint: what is not for everybody who sees an account, or who decides on it. A new endpoint that belongs here is put here. */
const NEEDS: Record<string, string[]> = {
  anyone: [
    'GET health/index',
    'GET health/live',
    'POST passkeys/come-in',
    'POST session',
    'POST welcome',
    'PUT passkeys/come-in',
  ],
  self: [
    'DELETE passkeys/index',
    'DELETE people/codes',
    'DELETE session',
    'GET me',
    'GET passkeys/index',
    'GET people/codes',
    'GET session',
    'POST passkeys/index',
    'POST passkeys/new',
    'POST people/codes',
    'PUT people/codes',
    'PUT people/password',
  ],
  send: [
    'PATCH trials/index',
    'POST bales/[id]/retry',
    'POST bales/[id]/settle',
    'POST bales/carried-out',
    'POST bales/index',
    'POST build/launch',
    'POST nights',
    'POST rules/index',
    'POST trials/index',
    'PUT rules/guards',
  ],
  'set up': [
    'DELETE summed',
    'POST imports/index',
    'POST jobs/cancel',
    'POST sync',
    'PUT imports/[id]/mapping',
  ],
  own: [
    'DELETE people/tokens',
    'GET people/index',
    'PATCH accounts/[id]',
    'POST accounts/index',
    'POST advance',
    'POST money',
    'POST people/first',
    'POST people/index',
    'POST people/link',
    'POST people/tokens',
    'PUT people/index',
    'PUT products/[id]',
    'PUT rules/hook',
  ],
};

describe('every module of the endpoints', () => {
  const files = listFiles(folder);

  test('is looked at here', () => expect(files.length).toBeGreaterThan(40));

  test('asks for the right that its work needs', async () => {
    const found: Record<string, string[]> = {};
    for (const file of files)
      for (const [method, { may }] of Object.entries((await import(file)) as Record<string, Endpoint>))
        if (may !== 'see' && may !== 'decide')
          (found[may] ??= []).push(`${method} ${path.relative(folder, file).replace(/\.ts$/, '')}`);
    for (const list of Object.values(found)) list.sort();
    expect(found).toEqual(NEEDS);
  });

  test('names one account that it is about, and names it once; these are about none', async () => {
    const none: string[] = [];
    for (const file of files)
      for (const [method, { about, may }] of Object.entries(
        (await import(file)) as Record<string, Endpoint>,
      )) {
        const name = `${method} ${path.relative(folder, file).replace(/\.ts$/, '')}`;
        expect([name, about.length]).toEqual([name, Math.min(1, about.length)]);
        if (about.length === 0 && may !== 'self' && may !== 'anyone') none.push(name);
      }
    expect(none.sort()).toEqual([
      'GET accounts/index',
      'GET accounts/list',
      'GET metrics',
      'POST accounts/index',
      'POST people/first',
      'POST table-file',
    ]);
  });

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
