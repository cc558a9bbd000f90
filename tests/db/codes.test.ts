import { Secret, TOTP } from 'otpauth';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { closeContext, db } from '../../src/server/context/context';
import { beginCodes, loadCodes, turnOffCodes, turnOnCodes } from '../../src/server/people/codes';
import { welcome } from '../../src/server/people/links';
import { addFirstOwner, linkFor } from '../../src/server/people/people';
import { signIn } from '../../src/server/people/signIn';
import { visitorOf } from '../../src/server/people/visitor';
import type { Visitor } from '../../src/server/people/visitor';

const HERE = { address: '192.0.2.7', browser: 'test' };
const EVE = { name: 'Eve Lindqvist', email: 'eve@tarnbrook.example', password: 'five small plain words' };

let eve: Visitor;
let app: TOTP;
/** The code that turned codes on. */
let first: string;
const comeIn = (code?: string) => signIn({ email: EVE.email, password: EVE.password, code }, HERE);
/** What the phone shows, some half minutes from now. Kept where it is used twice: meanwhile the phone may show the next. */
const shown = (later = 0) => app.generate({ timestamp: Date.now() + later * 30_000 });
const forgetUsed = () => db()`update mowing.code_key set last_step = 0`;

beforeAll(async () => {
  const secret = await addFirstOwner(EVE, HERE);
  eve = (await visitorOf(new Headers({ cookie: `mowing-session=${secret}` })))!;
});
afterAll(async () => {
  await db()`truncate mowing.person restart identity cascade`;
  await db()`delete from mowing.failed_try`;
  await closeContext();
});

describe('codes of an app', () => {
  test('are asked for only once a first one showed that the app has the secret', async () => {
    const { secret, address } = await beginCodes(eve);
    expect(address).toContain(encodeURIComponent(EVE.email));
    app = new TOTP({ secret: Secret.fromBase32(secret) });
    await expect(comeIn()).resolves.toBeTruthy();
    const wrong = String((Number(shown()) + 1) % 1_000_000).padStart(6, '0');
    await expect(turnOnCodes(eve, wrong)).rejects.toThrow('not the code');
    first = shown();
    const { onSince } = await turnOnCodes(eve, `${first.slice(0, 3)} ${first.slice(3)}`);
    expect(onSince).not.toBeNull();
    await expect(beginCodes(eve)).rejects.toThrow('already');
  });

  test('are needed beside the password, each works once, and a wrong password is told before any code', async () => {
    await expect(comeIn()).rejects.toMatchObject({ code: 'code-wanted' });
    await expect(comeIn(first)).rejects.toThrow('was used before');
    const next = shown(1);
    await expect(comeIn(next)).resolves.toBeTruthy();
    await expect(comeIn(next)).rejects.toThrow('was used before');
    await expect(
      signIn({ email: EVE.email, password: 'another', code: shown() }, HERE),
    ).rejects.toMatchObject({ code: 'not-signed-in', message: expect.stringMatching(/^E-mail or password/) });
  });

  test('are not guessed by who knows the password: asking without one wipes no failure out', async () => {
    await db()`delete from mowing.failed_try`;
    await forgetUsed();
    const told: string[] = [];
    for (let i = 0; i < 8; i += 1)
      for (const code of [undefined, '000000'])
        await comeIn(code).catch((error: { code: string }) => told.push(error.code));
    expect(told.slice(0, 2)).toEqual(['code-wanted', 'not-signed-in']);
    expect(told.at(-1)).toBe('too-many');
  });

  test('end by the password, or by a link for a new one when the phone is lost; both stand in the log', async () => {
    await db()`delete from mowing.failed_try`;
    await expect(turnOffCodes(eve, 'wrong')).rejects.toThrow('still asked for');
    const { path } = await linkFor(EVE.email);
    await welcome({ token: path.split('#')[1], password: EVE.password }, HERE);
    expect(await loadCodes(eve)).toEqual({ onSince: null });
    await expect(comeIn()).resolves.toBeTruthy();
    const { secret } = await beginCodes(eve);
    app = new TOTP({ secret: Secret.fromBase32(secret) });
    await turnOnCodes(eve, shown());
    await turnOffCodes(eve, EVE.password);
    const log = await db()<{ what: string }[]>`
      select what from mowing.people_log where subject = ${EVE.name} and what like 'codes%' order by log_id`;
    expect(log.map(({ what }) => what)).toEqual(['codes on', 'codes off', 'codes on', 'codes off']);
  });
});
