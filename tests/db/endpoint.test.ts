import type { APIContext } from 'astro';
import Joi from 'joi';
import { afterAll, afterEach, describe, expect, test } from 'vitest';
import { MowingError } from '../../src/contract/mowingError';
import { RIGHTS_OF, ROLES } from '../../src/contract/people';
import type { Right } from '../../src/contract/people';
import { ANYBODY } from '../../src/server/people/visitor';
import type { Visitor } from '../../src/server/people/visitor';
import { endpoint } from '../../src/server/http/endpoint';
import { fileResponse } from '../../src/server/http/fileResponse';
import { closeContext } from '../../src/server/context/context';
import { guardRequest } from '../../src/server/http/guard';
import { readBody, readValues } from '../../src/server/http/read';
import { secure } from '../../src/server/http/secureHeaders';

process.env.MOWING_LOG = 'silent';
afterAll(closeContext);

const aRequest = (headers: Record<string, string>, method = 'POST') =>
  new Request('http://127.0.0.1:4321/api/accounts', { method, headers });
const refusal = (headers: Record<string, string>, method?: string) => {
  try {
    guardRequest(aRequest(headers, method));
    return null;
  } catch (error) {
    return (error as MowingError).code;
  }
};

describe('who may ask', () => {
  afterEach(() => void delete process.env.MOWING_HOSTS);

  test.each([
    ['a script, which names no origin', { host: '127.0.0.1:4321' }, null],
    ['the page itself', { host: 'localhost:4321', origin: 'http://localhost:4321' }, null],
    ['a page on IPv6 loopback', { host: '[::1]:4321', origin: 'http://[::1]:4321' }, null],
    [
      'a page of another site',
      { host: '127.0.0.1:4321', origin: 'https://elsewhere.example' },
      'foreign-origin',
    ],
    [
      'the same host on another port',
      { host: '127.0.0.1:4321', origin: 'http://127.0.0.1:8080' },
      'foreign-origin',
    ],
    ['a sandboxed page', { host: '127.0.0.1:4321', origin: 'null' }, 'foreign-origin'],
    ['a name that was pointed at this machine', { host: 'elsewhere.example' }, 'foreign-origin'],
    [
      'a form of another site without an origin',
      { host: '127.0.0.1:4321', 'sec-fetch-site': 'cross-site' },
      'foreign-origin',
    ],
  ])('%s', (_, headers, code) => expect(refusal(headers as Record<string, string>)).toBe(code));

  test('a link from elsewhere may open a page', () => {
    expect(refusal({ host: '127.0.0.1:4321', 'sec-fetch-site': 'cross-site' }, 'GET')).toBeNull();
  });

  test('a name that was allowed by hand', () => {
    process.env.MOWING_HOSTS = 'ads.example, other.example';
    expect(refusal({ host: 'ads.example', origin: 'http://ads.example' })).toBeNull();
    expect(refusal({ host: 'third.example' })).toBe('foreign-origin');
  });
});

describe('an endpoint', () => {
  const context = (over: Partial<APIContext> = {}) =>
    ({
      url: new URL('http://127.0.0.1/api/x?account=7'),
      request: new Request('http://127.0.0.1/api/x?account=7'),
      params: {},
      locals: { visitor: async () => ANYBODY, from: { address: '127.0.0.1', isSecure: false } },
      ...over,
    }) as APIContext;
  const call = async (spec: Parameters<typeof endpoint>[0], over: Partial<APIContext> = {}) => {
    const answer = await endpoint(spec)(context(over));
    return {
      status: answer.status,
      body: (await answer.json()) as { error: { code: string; message: string; faults: unknown[] } },
    };
  };
  const see = (run: Parameters<typeof endpoint>[0]['run']) => ({ may: 'see' as const, run });

  test('answers a value as JSON', async () => {
    expect(await call(see(async () => ({ fine: true })))).toEqual({ status: 200, body: { fine: true } });
  });

  test('answers a known error with its status and sentence', async () => {
    const { status, body } = await call(
      see(async () => {
        throw new MowingError('not-found', 'There is no account 9.');
      }),
    );
    expect([status, body.error]).toEqual([
      404,
      { code: 'not-found', message: 'There is no account 9.', faults: [] },
    ]);
  });

  test('never tells what went wrong inside', async () => {
    const { status, body } = await call(
      see(async () => {
        throw new Error('password=hunter2 at line 12');
      }),
    );
    expect(status).toBe(500);
    expect(JSON.stringify(body)).not.toContain('hunter2');
  });

  test('says that the database is gone when it is', async () => {
    const { body } = await call(
      see(async () => {
        throw Object.assign(new Error('connect'), { code: 'ECONNREFUSED' });
      }),
    );
    expect(body.error.message).toContain('The database does not answer');
  });

  test('turns the query into values, or tells each fault and where it is', async () => {
    const schema = Joi.object({
      account: Joi.number().required(),
      day: Joi.string().required(),
      grain: Joi.valid('term').required(),
    });
    const told = (query: Joi.ObjectSchema) => call({ ...see(({ query: value }) => value), query });
    expect((await told(Joi.object({ account: Joi.number() }))).body).toEqual({ account: 7 });
    const { status, body } = await told(schema);
    expect(status).toBe(400);
    expect(body.error.faults).toMatchObject([{ where: 'query.day' }, { where: 'query.grain' }]);
  });

  test.each([
    ['no JSON', 'hello', 400],
    ['nothing', '', 400],
    ['more than any page sends', `"${'x'.repeat(21_000_000)}"`, 413],
  ])('refuses a body that is %s', async (_, text, status) => {
    const request = new Request('http://127.0.0.1/', { method: 'POST', body: text });
    expect((await call({ ...see(() => 'fine'), body: Joi.object({}) }, { request })).status).toBe(status);
  });
});

describe('somebody with a role on account 7', () => {
  const ask = async (may: Right | 'self' | 'anyone', visitor: Visitor | null, account: number | null = 7) => {
    let worked = false;
    const spec = {
      may,
      ...(account !== null && { query: Joi.object({ account: Joi.number() }) }),
      isLight: true,
      run: () => (worked = true),
    };
    const url = new URL(`http://127.0.0.1/api/x?account=${account}`);
    const context = {
      url,
      request: new Request(url),
      params: {},
      locals: { visitor: async () => visitor, from: { address: '', isSecure: false } },
    };
    const { status } = await endpoint(spec as never)(context as never);
    expect(worked).toBe(status === 200);
    return status;
  };
  const as = (role: (typeof ROLES)[number]): Visitor => ({
    name: role,
    key: null,
    person: null,
    ownsAll: false,
    rightsOn: (account) => (account === 7 ? RIGHTS_OF[role] : null),
  });

  test.each([
    ['see', [200, 200, 200, 200]],
    ['decide', [403, 200, 200, 200]],
    ['send', [403, 403, 200, 200]],
    ['set up', [403, 403, 200, 200]],
    ['own', [403, 403, 403, 200]],
  ] as const)('%s: reads, decides, sends, owns', async (may, statuses) => {
    expect(await Promise.all(ROLES.map((role) => ask(may, as(role))))).toEqual(statuses);
  });

  test('does not learn whether there is another account, whatever the role', async () => {
    for (const may of ['see', 'own'] as const) expect(await ask(may, as('owns'), 8)).toBe(404);
  });

  test('makes no account: that is for whoever owns all', async () => {
    expect(await ask('own', as('owns'), null)).toBe(403);
    expect(await ask('own', ANYBODY, null)).toBe(200);
  });

  test('has to be signed in, but at the door', async () => {
    for (const may of ['see', 'self', 'own'] as const) expect(await ask(may, null)).toBe(401);
    expect(await ask('anyone', null)).toBe(200);
  });

  test('is not asked for by what is for anyone: health answers also while the database hangs', async () => {
    const hangs = {
      locals: { visitor: () => new Promise(() => {}), from: { address: '', isSecure: false } },
    };
    const url = new URL('http://127.0.0.1/api/x');
    const context = { url, request: new Request(url), params: {}, ...hangs };
    const { status } = await endpoint({ may: 'anyone', run: () => 'well' })(context as never);
    expect(status).toBe(200);
  });
});

describe('texts that no database keeps', () => {
  const schema = Joi.object<{ name: string; list: unknown[] }>({ name: Joi.string(), list: Joi.array() });
  const faultsOf = (value: unknown) => {
    try {
      readValues(value, schema, 'body');
      return [];
    } catch (error) {
      return (error as MowingError).faults.map(({ where, what }) => `${where}: ${what}`);
    }
  };

  test('are refused with where they stand, in names of fields too; whole pairs are one character', () => {
    expect(faultsOf({ name: 'a\0b' })).toEqual(['body.name: "body.name" holds a NUL character']);
    expect(faultsOf({ list: [{ deep: '\ud83d' }] })).toEqual([
      'body.list.0.deep: "body.list.0.deep" holds half a character',
    ]);
    expect(faultsOf({ list: [{ 'k\0': 1 }] })).toHaveLength(1);
    expect(faultsOf({ name: 'jar 🫙 “5 l”' })).toEqual([]);
  });

  test.each([
    ['an escaped NUL', '{"name":"a\\u0000b"}', 'NUL character'],
    ['half a character, escaped', '{"list":[{"deep":"\\uD83D"}]}', 'half a character'],
    ['half a character in the name of a field', '{"list":[{"\\udc00":1}]}', 'half a character'],
  ])('are refused in the body of a request: %s', async (_, body, fault) => {
    const request = new Request('http://127.0.0.1:4321/', { method: 'POST', body });
    await expect(readBody(request, schema)).rejects.toThrow(fault);
  });
});

describe('headers of a page', () => {
  test('allow the scripts that the build knows by their hash, and nothing that merely stands in the page', () => {
    const built =
      "script-src 'self' 'sha256-bhHHL3z2vDgxUt0W3dWQOrprscmda2Y5pLsLg4GF+pI=' 'unsafe-inline'; style-src 'self';";
    const headers = { 'content-type': 'text/html', 'content-security-policy': built };
    const answer = secure(new Response('<script>alert(2)</script>', { headers }));
    const policy = answer.headers.get('content-security-policy')!;
    expect(policy).toContain("script-src 'self' 'sha256-bhHHL3z2vDgxUt0W3dWQOrprscmda2Y5pLsLg4GF+pI=';");
    expect(policy).toContain("frame-ancestors 'none'");
  });

  test('of data forbid guessing its type and keeping it', () => {
    const answer = secure(Response.json({ spend: 1 }));
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(answer.headers.get('cache-control')).toBe('no-store');
  });

  test('of a file let the browser save it under its name', () => {
    expect(fileResponse('a', 'tray.csv', 'text/csv').headers.get('content-disposition')).toBe(
      'attachment; filename="tray.csv"',
    );
  });
});
