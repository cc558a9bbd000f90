import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { draw } from '../../../tests/make/page';
import { anAccountInfo } from '../../../tests/make/review';
import type { AccountInfo } from '../../contract/api';
import { api } from './api';
import { useNewData, useShownAccount } from './revision';
import { TroubleBoundary } from './TroubleBoundary';

/** What comes over the wire, by address; left out: no answer at all. */
let wire: Record<string, { status?: number; body: string }> = {};
beforeEach(() => {
  wire = {};
  vi.stubGlobal('fetch', (address: string) => {
    const found = Object.entries(wire).find(([start]) => address.startsWith(start));
    if (!found) return Promise.reject(new TypeError('network'));
    return Promise.resolve(new Response(found[1].body, { status: found[1].status ?? 200 }));
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('an answer that went wrong', () => {
  test('is told in the server’s own sentence, with its code', async () => {
    const error = { code: 'not-found', message: 'There is no account 9.' };
    wire['/api/tree'] = { status: 404, body: JSON.stringify({ error }) };
    await expect(api.tree(9)).rejects.toMatchObject(error);
  });

  test('because nobody answers says so, and that nothing is lost', async () => {
    await expect(api.tree(9)).rejects.toMatchObject({
      code: 'no-answer',
      message: 'Mowing does not answer. Is it still running? Nothing is lost; try again.',
    });
  });

  test('in a shape that nobody knows tells what the server called it', async () => {
    wire['/api/tree'] = { status: 502, body: '<html>' };
    await expect(api.tree(9)).rejects.toMatchObject({ message: 'The request failed (502).' });
    wire['/api/tree'] = { status: 200, body: 'half of {' };
    await expect(api.tree(9)).rejects.toMatchObject({ code: 'no-answer' });
  });
});

describe('an account whose data move on', () => {
  let account: AccountInfo;
  let stored: AccountInfo;
  function Page() {
    const shown = useShownAccount(stored)!;
    const { isNewer, takeOver } = useNewData(shown);
    account = shown;
    return isNewer ? (
      <button type="button" onClick={() => void takeOver()}>
        take over
      </button>
    ) : (
      <p>as shown</p>
    );
  }

  test('stays as it is shown until the newer data are taken over; then it is shown as it stands', async () => {
    stored = anAccountInfo({ id: 7001, revision: 3, lastDay: '2026-11-18' });
    wire['/api/revision'] = { body: '{"revision":3}' };
    const { rerender } = draw(<Page />);
    expect(await screen.findByText('as shown')).toBeTruthy();

    // A sync has run: the list of accounts, asked for by something else, tells the new days already.
    wire['/api/revision'] = { body: '{"revision":4}' };
    stored = anAccountInfo({ id: 7001, revision: 4, lastDay: '2026-11-19' });
    wire['/api/accounts'] = { body: JSON.stringify([stored]) };
    rerender(<Page />);
    expect(account).toMatchObject({ revision: 3, lastDay: '2026-11-18' });
  });

  test('offers the newer data, and shows them once they are taken over', async () => {
    stored = anAccountInfo({ id: 7002, revision: 3, lastDay: '2026-11-18' });
    wire['/api/revision'] = { body: '{"revision":4}' };
    wire['/api/accounts'] = { body: JSON.stringify([{ ...stored, revision: 4, lastDay: '2026-11-19' }]) };
    draw(<Page />);
    fireEvent.click(await screen.findByText('take over'));
    await waitFor(() => expect(account).toMatchObject({ revision: 4, lastDay: '2026-11-19' }));
    expect(await screen.findByText('as shown')).toBeTruthy();
  });
});

describe('what breaks inside a part of a page', () => {
  let fault: Error | null = null;
  const Part = () => {
    if (fault) throw fault;
    return <p>rows</p>;
  };
  const page = () =>
    draw(
      <TroubleBoundary>
        <Part />
      </TroubleBoundary>,
    );
  // React writes down what it catches; here that is the point.
  beforeEach(() => void vi.spyOn(console, 'error').mockImplementation(() => {}));
  afterEach(() => vi.restoreAllMocks());

  test('is told in its place, and goes on when it is tried again', () => {
    fault = new Error('The search terms could not be read.');
    page();
    expect(screen.getByRole('alert').textContent).toContain('The search terms could not be read.');
    fault = null;
    act(() => screen.getByText('Try again').click());
    expect(screen.getByText('rows')).toBeTruthy();
  });

  test('through a fault of the program is not shown as if it were a sentence', () => {
    fault = new RangeError('Maximum call stack size exceeded');
    page();
    expect(screen.getByRole('alert').textContent).toContain(
      'The computation failed: Maximum call stack size exceeded.',
    );
  });
});
