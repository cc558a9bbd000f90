import { expect, test } from 'vitest';
import { ANYBODY } from '../people/visitor';
import { Shares } from './share';

const shares = new Shares(3);
const times = (count: number, ask: () => Promise<void>) => Promise.all(Array.from({ length: count }, ask));

test('one who asks without end is told when to go on; others go on', async () => {
  const ask = (name: string) => () => shares.takeOwn({ name, key: name });
  await times(3, ask('Ada'));
  await expect(ask('Ada')()).rejects.toMatchObject({ code: 'too-many', retryAfterS: expect.any(Number) });
  await times(3, ask('Ben'));
  await times(50, () => shares.takeOwn(ANYBODY));
});

test('an address, that many may share, is held before anybody is looked up; not where nobody signs in', async () => {
  const ask = (address: string, isClosed: boolean) => () =>
    shares.takeOfAddress(address, () => Promise.resolve(isClosed));
  await times(15, ask('192.0.2.1', true));
  await expect(ask('192.0.2.1', true)()).rejects.toThrow(/From your address .*15 requests/);
  await ask('192.0.2.2', true)();
  await times(50, ask('127.0.0.1', false));
});
