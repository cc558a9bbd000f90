import { QueryClient } from '@tanstack/react-query';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { aChangeInfo } from '../../../tests/make/changes';
import { anAccountInfo } from '../../../tests/make/review';
import type { Given } from '../../contract/given';
import { given, GIVEN, keepGiven } from './given';
import { queryKeys } from './queryKeys';

const account = anAccountInfo({ id: 4, revision: 9 });
const ALL: Given = {
  accounts: [account],
  me: { person: null },
  of: {
    account: 4,
    revision: { revision: 9, tray: '1 5' },
    rules: { rules: [] } as never,
    staged: [aChangeInfo({ id: 1 })],
  },
};

/** What a page that carries something knows without asking. */
function known(carried: Given | null) {
  if (carried) {
    const script = document.createElement('script');
    script.type = 'application/json';
    script.id = GIVEN;
    script.textContent = JSON.stringify(carried);
    document.body.append(script);
  }
  const client = new QueryClient();
  keepGiven(client, new URLSearchParams('account=4'));
  return (key: readonly unknown[]) => client.getQueryData(key);
}
afterEach(() => document.getElementById(GIVEN)?.remove());

describe('what comes with a page', () => {
  test('is known without asking: who is here, the accounts, and of the account its state, rules and tray', () => {
    const of = known(ALL);
    expect(of(queryKeys.me)).toEqual({ person: null });
    expect(of(queryKeys.accounts)).toMatchObject([{ id: 4 }]);
    expect(of(queryKeys.revision(4))).toEqual({ revision: 9, tray: '1 5' });
    expect(of(queryKeys.rules(account))).toEqual({ rules: [] });
    expect(of(queryKeys.changes(4, 'staged'))).toMatchObject([{ id: 1 }]);
  });

  test('leaves to be asked what it left out, and everything where it could not be read', () => {
    expect(known(ALL)(queryKeys.changes(4, 'sending'))).toBeUndefined();
    document.getElementById(GIVEN)!.remove();
    expect(known(null)(queryKeys.accounts)).toBeUndefined();
    expect(given()).toBeUndefined();
  });

  test('does not count where the page before was left with something unanswered; the page after it may rely on it again', async () => {
    known(ALL);
    const nextPage = async () => {
      vi.resetModules();
      return { ...(await import('./given')), ...(await import('./unanswered')) };
    };
    const first = await nextPage();
    void first.sending(() => new Promise(() => {})); // put aside, and the page is left before the answer
    const second = await nextPage();
    expect([first.given(), second.given()]).toEqual([ALL, undefined]);
    let giveUp = () => {};
    const givenUp = second.sending(
      () => new Promise((_, reject) => (giveUp = () => reject(new Error('left')))),
    );
    dispatchEvent(new Event('pagehide'));
    giveUp();
    await expect(givenUp).rejects.toThrow('left');
    const third = await nextPage();
    expect(third.given()).toBeUndefined();
    await third.sending(async () => 'answered');
    expect((await nextPage()).given()).toEqual(ALL);
  });
});
