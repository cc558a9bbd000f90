import { SMTPServer } from 'smtp-server';
import { afterAll, afterEach, beforeAll, expect, test } from 'vitest';
import { closeContext, db } from '../../src/server/context/context';
import { mailSettings } from '../../src/server/people/mail';
import { welcome } from '../../src/server/people/links';
import { addFirstOwner, invite, resetPassword } from '../../src/server/people/people';
import { anAccount } from './account';

const HERE = { address: '192.0.2.8', browser: 'test' };
const PASSWORD = 'five small plain words';
const FAY = { name: 'Fay "F" Brandt', email: 'fay@tarnbrook.example', role: 'decides' as const };
const SETTINGS = ['MOWING_SMTP_URL', 'MOWING_MAIL_FROM', 'MOWING_ADDRESS'] as const;

/** A mail server on this machine that takes what it is given. */
const taken: { to: string[]; text: string }[] = [];
const server = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onData(stream, session, done) {
    const parts: Buffer[] = [];
    stream.on('data', (part: Buffer) => parts.push(part));
    stream.on('end', () => {
      // Long lines come folded, each with a = at its end (RFC 2045).
      const text = Buffer.concat(parts).toString().replace(/=\r\n/g, '').replace(/=3D/g, '=');
      taken.push({ to: session.envelope.rcptTo.map(({ address }) => address), text });
      done();
    });
  },
});
let account: number;
const owner = { name: 'Ada Marlowe', rights: [] };

beforeAll(async () => {
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.server.address() as { port: number };
  process.env.MOWING_SMTP_URL = `smtp://127.0.0.1:${port}`;
  process.env.MOWING_MAIL_FROM = 'Mowing <mowing@tarnbrook.example>';
  process.env.MOWING_ADDRESS = 'https://ads.tarnbrook.example';
  account = (await anAccount()).id;
  await addFirstOwner({ name: owner.name, email: 'ada@tarnbrook.example', password: PASSWORD }, HERE);
});
afterEach(() => taken.splice(0));
afterAll(async () => {
  for (const name of SETTINGS) delete process.env[name];
  await db()`truncate mowing.person restart identity cascade`;
  await closeContext();
});

test('an invitation and a new link go to whom they are for, and what is mailed lets in', async () => {
  const { link } = await invite(owner, account, FAY, () => true);
  expect(link).toMatchObject({ mail: 'sent' });
  expect(taken).toMatchObject([{ to: [FAY.email] }]);
  const [, secret] = /https:\/\/ads\.tarnbrook\.example\/welcome#([\w-]+)/.exec(taken[0].text)!;
  expect(await welcome({ token: secret, password: PASSWORD }, HERE)).toBeTruthy();
  const [{ id }] = await db()<{ id: number }[]>`
    select person_id as id from mowing.person where email = ${FAY.email}`;
  expect(await resetPassword(owner, account, id, () => true)).toMatchObject({ mail: 'sent' });
  expect(taken).toHaveLength(2);
});

test('who was let in before is mailed nothing: there is no link', async () => {
  const [{ id }] = await db()<{ id: number }[]>`
    select person_id as id from mowing.person where email = ${FAY.email}`;
  await db()`update mowing.person set password = 'scrypt:x' where person_id = ${id}`;
  expect(await invite(owner, (await anAccount()).id, FAY, () => true)).toEqual({ link: null });
  expect(taken).toEqual([]);
});

test('a mail server that is gone undoes no invitation', async () => {
  await new Promise<void>((resolve) => server.close(resolve));
  const { link } = await invite(
    owner,
    account,
    { ...FAY, name: 'Gus', email: 'gus@tarnbrook.example' },
    () => true,
  );
  expect(link).toMatchObject({ mail: 'failed', path: expect.stringMatching(/^\/welcome#/) });
});

test('half a setting is told at once', () => {
  expect(mailSettings({})).toBeNull();
  expect(() => mailSettings({ MOWING_SMTP_URL: 'smtp://x' })).toThrow('MOWING_MAIL_FROM is missing');
  expect(() => mailSettings({ MOWING_SMTP_URL: 'mail.example' })).toThrow('no address of a mail server');
  expect(() =>
    mailSettings({ MOWING_SMTP_URL: 'smtp://x', MOWING_MAIL_FROM: 'a@b.example', MOWING_ADDRESS: 'x' }),
  ).toThrow('MOWING_ADDRESS has to be');
});
