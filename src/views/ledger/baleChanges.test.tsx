import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { aChangeInfo } from '../../../tests/make/changes';
import { draw } from '../../../tests/make/page';
import { anAccountInfo } from '../../../tests/make/review';
import type { BaleInfo, ChangeInfo, NewChange } from '../../contract/changes';
import type { TrayState } from '../shared/tray/useTray';
import { BaleChanges } from './BaleChanges';
import type { LedgerState } from './useLedger';

const BALE: BaleInfo = {
  id: 7,
  state: 'done',
  trouble: '',
  tries: 1,
  sentAt: '2026-11-20T08:30:00Z',
  by: 'Ada Marlowe',
  marketDay: '2026-11-18',
  carriedOn: null,
  finishedAt: '2026-11-20T08:31:00Z',
  changes: 3,
  accepted: 2,
  refused: 1,
};
const CHANGES = [
  aChangeInfo({ id: 1, state: 'accepted', undoable: true, baleId: 7 }),
  aChangeInfo({ id: 2, state: 'accepted', undoable: false, baleId: 7 }),
  aChangeInfo({
    id: 3,
    state: 'refused',
    answer: 'The campaign has ended.',
    baleId: 7,
    carries: { listId: 4 },
  }),
];

function drawBale(bale: BaleInfo, changes: ChangeInfo[] = CHANGES) {
  const done: unknown[][] = [];
  const ledger = {
    changes,
    all: changes,
    filter: 'all',
    setFilter: (filter: string) => done.push(['filter', filter]),
    effects: undefined,
    settle: { isPending: false, mutate: (how: unknown) => done.push(['settle', how]) },
    retry: { isPending: false, mutate: (id: number) => done.push(['retry', id]) },
    undo: { undo: (ids: number[]) => done.push(['undo', ids]) },
  } as unknown as LedgerState;
  const tray = {
    stage: { mutate: (list: NewChange[]) => done.push(['stage', list]) },
  } as unknown as TrayState;
  draw(<BaleChanges bale={bale} ledger={ledger} tray={tray} account={anAccountInfo({ id: 5 })} />);
  return done;
}

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const answers = () =>
  within(screen.getByRole('table'))
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0].textContent);

describe('a bale', () => {
  test('shows what was refused first, with the market’s sentence', () => {
    drawBale(BALE);
    expect(answers()).toEqual(['▲ refused', '● accepted', '● accepted']);
    expect(screen.getByText('The campaign has ended.')).toBeTruthy();
    expect(screen.getByText(/3 changes: 2 accepted, 1 refused\./)).toBeTruthy();
    // The clock, and the day that the market's figures will count it on.
    expect(screen.getByRole('heading', { name: /sent 20 Nov.*on the market’s 18 Nov/ })).toBeTruthy();
  });

  test('offers to undo what can be undone, and no more', () => {
    const done = drawBale(BALE);
    press('Undo 1');
    press('Undo');
    expect(done).toEqual([
      ['undo', [1]],
      ['undo', [1]],
    ]);
  });

  test('stages what was refused again, with all that it carried', () => {
    const done = drawBale(BALE);
    press('Stage the refused one again');
    expect(done).toEqual([['stage', [expect.objectContaining({ carries: { listId: 4 } })]]]);
  });

  test('that is on its way says how many have no answer yet', () => {
    drawBale({ ...BALE, state: 'sending', accepted: 1, refused: 0 }, [
      aChangeInfo({ id: 1, state: 'accepted' }),
      aChangeInfo({ id: 2, state: 'sending' }),
    ]);
    expect(screen.getByText(/1 accepted, 0 refused, 2 without an answer yet\./)).toBeTruthy();
    expect(answers()).toEqual(['● accepted', '○ without an answer yet']);
  });

  test('that was carried out by hand waits for an import, or is settled by hand', () => {
    const done = drawBale(
      { ...BALE, state: 'awaiting', carriedOn: '2026-11-17', marketDay: null, accepted: 1 },
      [aChangeInfo({ id: 1, state: 'accepted' }), aChangeInfo({ id: 2, state: 'sending' })],
    );
    expect(screen.getByRole('heading', { name: /carried out by hand on 17 Nov/ })).toBeTruthy();
    expect(answers()).toEqual(['● carried out', '○ open']);
    press('The rest was carried out');
    press('Back to the tray');
    expect(done).toEqual([
      ['settle', { id: 7, as: 'carried-out' }],
      ['settle', { id: 7, as: 'back-to-tray' }],
    ]);
  });

  test('in trouble says what it is, and can be tried again at once', () => {
    const done = drawBale({ ...BALE, trouble: 'The market does not answer.', tries: 4 });
    expect(screen.getByRole('alert').textContent).toContain('The market does not answer. Tried 4 times.');
    press('Try again now');
    expect(done).toEqual([['retry', 7]]);
  });

  test('is filtered by the answers, each with its count, and leaves as a file', () => {
    const done = drawBale(BALE);
    expect(screen.getByRole('group', { name: 'Answers shown' }).textContent).toBe(
      'all 3accepted 2refused 1without an answer yet 0',
    );
    press('refused 1');
    expect(done).toEqual([['filter', 'refused']]);
    expect(screen.getByText('XLSX').getAttribute('href')).toBe(
      '/api/changes/file?account=5&format=xlsx&bale=7',
    );
  });

  test('without a change of that answer says so', () => {
    drawBale(BALE, []);
    expect(screen.getByText('No change in this bale has that answer.')).toBeTruthy();
  });
});
