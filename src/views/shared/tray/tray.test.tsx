import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { aChangeInfo } from '../../../../tests/make/changes';
import { draw } from '../../../../tests/make/page';
import { findConflicts, sumExpected, USUAL_LIMITS } from '../../../core/changes';
import type { ChangeInfo, FileDifferences } from '../../../contract/changes';
import { CostlyNegatives } from './CostlyNegatives';
import { ReadBackDialog } from './ReadBackDialog';
import { TrayList } from './TrayList';
import type { CostlyNegative, NegativeChecked } from './useNegativeCheck';
import { useTray } from './useTray';
import type { TrayState } from './useTray';

/** A tray of some changes, and what was done with it, in turn. */
function aTray(changes: ChangeInfo[], sending: ChangeInfo[] = []) {
  const done: unknown[][] = [];
  const does = (name: string) => ({ mutate: (what: unknown) => done.push([name, what]) });
  const tray = {
    changes,
    sending,
    conflicts: findConflicts(changes),
    effect: sumExpected(changes.map(({ effect }) => effect)),
    withdraw: does('take out'),
    setValues: does('set'),
    goFromPresent: does('from present'),
  } as unknown as TrayState;
  return { tray, done };
}

const NOTHING_COSTLY = { costly: [], isChecking: false, fault: null, confirm: () => {} } as NegativeChecked;
function drawTray(changes: ChangeInfo[], sending: ChangeInfo[] = []) {
  const { tray, done } = aTray(changes, sending);
  draw(<TrayList tray={tray} check={NOTHING_COSTLY} limits={USUAL_LIMITS} currency="EUR" />);
  return done;
}

const aBid = (over: Partial<ChangeInfo>, from = 500_000, to = 400_000) =>
  aChangeInfo({ change: { kind: 'set-bid', targetId: over.id ?? 1, from, to }, present: from, ...over });
const groups = () =>
  screen
    .getAllByRole('button', { expanded: true })
    .map(({ textContent }) => textContent.replace(/^[▾▸]\s/, '').replaceAll('\u00a0', ' '));
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the tray', () => {
  test('says of a change what it waits for, when that was sent and has no answer yet', () => {
    const keyword = {
      kind: 'add-keyword',
      adGroupId: 1,
      expression: 'tin bucket',
      match: 'exact',
      bid: 1,
    } as const;
    drawTray([aBid({ id: 2, afterId: 1 })], [aChangeInfo({ id: 1, state: 'sending', change: keyword })]);
    expect(
      screen.getByText(/Waits for “.*tin bucket.*”, which was sent and has no answer yet\./),
    ).toBeTruthy();
  });

  const CHANGES = [
    aBid({ id: 1, campaign: 'Jars', effect: { spend: -2_000_000, sales: 0 } }),
    aBid({ id: 2, campaign: 'Lids', effect: { spend: -9_000_000, sales: 1_500_000 } }),
    aChangeInfo({ id: 3, campaign: 'Jars', effect: { spend: 1_000_000, sales: 4_000_000 } }),
  ];

  test('that is empty says what comes into it', () => {
    drawTray([]);
    expect(screen.getByText(/Accept a proposal, and it waits here until you send/)).toBeTruthy();
  });

  test('shows what moves the most money first, summed by campaign or by kind', () => {
    drawTray(CHANGES);
    expect(groups()).toEqual(['Lids 1', 'Jars 2']);
    const [, jars] = screen
      .getAllByRole('row', { name: /Take out/ })
      .filter((row) => within(row).queryByRole('button', { expanded: true }));
    expect(
      within(jars)
        .getAllByRole('rowheader')
        .map(({ textContent }) => textContent)
        .slice(1, 3),
    ).toEqual(['−1.00', '+4.00']);
    press('by kind');
    expect(groups()).toHaveLength(2);
    expect(localStorage.length).toBe(1);
  });

  test('lets one change, a group or all be taken out', () => {
    const done = drawTray(CHANGES);
    fireEvent.click(screen.getAllByRole('button', { name: /^Take out: Lower the bid/ })[0]);
    press('Take out all of Jars');
    press('Take all out');
    expect(done).toEqual([
      ['take out', [2]],
      ['take out', [1, 3]],
      ['take out', [1, 2, 3]],
    ]);
  });

  test('lets a value be set where it stands, in units or per cent; nothing typed sets nothing', () => {
    const modifier = aChangeInfo({
      id: 5,
      change: { kind: 'set-modifier', campaignId: 1, placement: 'top', from: 0.1, to: 0.25 },
    });
    const done = drawTray([aBid({ id: 4 }), modifier]);
    const money = screen.getByLabelText('Value, EUR') as HTMLInputElement;
    expect(money.value).toBe('0.40');
    for (const typed of ['', '0.40', '0.35']) {
      fireEvent.change(money, { target: { value: typed } });
      fireEvent.blur(money);
    }
    const share = screen.getByLabelText('Value, %') as HTMLInputElement;
    expect(share.value).toBe('25');
    fireEvent.change(share, { target: { value: '40' } });
    fireEvent.blur(share);
    expect(done).toEqual([
      ['set', [{ id: 4, value: 350_000 }]],
      ['set', [{ id: 5, value: 0.4 }]],
    ]);
  });

  test('says before it is sent what the market will refuse', () => {
    drawTray([aBid({ id: 4 }, 500_000, 1)]);
    expect(screen.getByText(/The market will refuse it\./)).toBeTruthy();
  });

  test('of many changes opens group by group, and a long group bit by bit', () => {
    drawTray(
      Array.from({ length: 110 }, (_, at) => aBid({ id: at + 1, campaign: at < 30 ? 'Jars' : 'Lids' })),
    );
    expect(screen.queryAllByText('Take out')).toHaveLength(0);
    fireEvent.click(screen.getByText('Lids'));
    expect(screen.getAllByText('Take out')).toHaveLength(50);
    fireEvent.click(screen.getByText('30 more'));
    expect(screen.getAllByText('Take out')).toHaveLength(80);
  });

  test('shows what does not go together on top, each with its ways out', () => {
    const done = drawTray([aBid({ id: 4, subject: 'jar', present: 300_000 })]);
    const conflicts = screen.getByRole('region', { name: 'Conflicts' });
    expect(conflicts.textContent).toContain('▲ 1 conflict');
    for (const way of within(conflicts).getAllByRole('button')) fireEvent.click(way);
    expect(done.map(([what]) => what).sort()).toEqual(['from present', 'take out']);
  });
});

describe('negatives that cost sales', () => {
  const costly = (id: number, orders: number, targets: string[]) =>
    ({
      change: aChangeInfo({
        id,
        change: { kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'phrase', expression: 'jar' },
      }),
      sums: { orders, sales: orders * 20_000_000 },
      terms: ['glass jar', 'jar lid', 'jar set', 'big jar'],
      targets,
    }) as unknown as CostlyNegative;

  test('are confirmed one by one or all, or taken out, and say what they would have cost', () => {
    const confirmed: number[][] = [];
    const { tray, done } = aTray([]);
    const check = {
      ...NOTHING_COSTLY,
      costly: [costly(1, 2, []), costly(2, 0, ['jar lids'])],
      confirm: (list: readonly CostlyNegative[]) => confirmed.push(list.map(({ change }) => change.id)),
    };
    draw(<CostlyNegatives check={check} tray={tray} currency="EUR" />);
    const told = screen.getByRole('region', { name: 'Negatives that cost sales' }).textContent;
    expect(told).toContain('2 orders, 40.00 EUR in 90 days (“glass jar”, “jar lid”, “jar set”)');
    expect(told).toContain('keeps “jar lids” from showing');
    press('Block all 2 anyway');
    fireEvent.click(screen.getAllByRole('button', { name: /^Block anyway: / })[1]);
    fireEvent.click(screen.getAllByRole('button', { name: 'Take it out' })[0]);
    expect(confirmed).toEqual([[1, 2], [2]]);
    expect(done).toEqual([['take out', [1]]]);
  });

  test('say so while they are checked, and when they cannot be', () => {
    const { tray } = aTray([]);
    draw(<CostlyNegatives check={{ ...NOTHING_COSTLY, isChecking: true }} tray={tray} currency="EUR" />);
    expect(screen.getByText(/against 90 days of search terms …/)).toBeTruthy();
    cleanup();
    const fault = new Error('The server does not answer.');
    draw(<CostlyNegatives check={{ ...NOTHING_COSTLY, fault }} tray={tray} currency="EUR" />);
    expect(screen.getByRole('alert').textContent).toContain('The server does not answer.');
  });
});

describe('an edited change file', () => {
  const DIFFERENCES: FileDifferences = {
    edits: [{ line: 2, id: 4, from: 400_000, to: 380_000, unit: 'money' }],
    missing: [5, 6],
    refused: [{ line: 9, reason: 'The bid 0.001 is below the least of 0.02.' }],
    same: 3,
  };
  function dialog(differences = DIFFERENCES) {
    const { tray, done } = aTray([aBid({ id: 4, subject: 'jar' })]);
    let isClosed = false;
    draw(
      <ReadBackDialog
        name="tray.csv"
        differences={differences}
        currency="EUR"
        tray={tray}
        onClose={() => (isClosed = true)}
      />,
    );
    return { done, isClosed: () => isClosed };
  }

  test('says what differs, what is refused and on which line, before it counts', () => {
    const { done } = dialog();
    expect(screen.getByRole('heading').textContent).toBe('tray.csv: 1 value differs from the tray');
    expect(screen.getByText('3 lines say what the tray says.')).toBeTruthy();
    expect(screen.getByRole('region', { name: 'Refused lines' }).textContent).toContain(
      'Line 9: The bid 0.001 is below the least of 0.02.',
    );
    const [, row] = within(screen.getByRole('table', { name: 'Differences' })).getAllByRole('row');
    expect(
      within(row)
        .getAllByRole('cell')
        .map(({ textContent }) => textContent),
    ).toMatchObject({
      0: '2',
      3: '0.40',
      4: '0.38 EUR',
    });
    expect(done).toEqual([]);
  });

  test('is taken over; what it lacks leaves the tray only when that is asked for', () => {
    const { done, isClosed } = dialog();
    press('Take over 1');
    expect([done, isClosed()]).toEqual([[['set', [{ id: 4, value: 380_000 }]]], true]);
    cleanup();
    const other = dialog();
    fireEvent.click(screen.getByRole('checkbox'));
    press('Take over 3');
    expect(other.done).toEqual([
      ['set', [{ id: 4, value: 380_000 }]],
      ['take out', [5, 6]],
    ]);
  });

  test('that says the same, or is given up, changes nothing', () => {
    const { done, isClosed } = dialog({ edits: [], missing: [], refused: [], same: 1 });
    expect((screen.getByRole('button', { name: 'Take over 0' }) as HTMLButtonElement).disabled).toBe(true);
    expect(screen.getByText('1 line says what the tray says.')).toBeTruthy();
    press('Leave the tray as it is');
    expect([done, isClosed()]).toEqual([[], true]);
  });
});

describe('what was accepted', () => {
  afterEach(() => vi.unstubAllGlobals());

  test('counts in the tray as soon as the server has staged it, before it is read back; once, when it is', async () => {
    let readBack: (list: ChangeInfo[]) => void = () => {};
    const lists = [
      Promise.resolve([aBid({ id: 1 })]),
      new Promise<ChangeInfo[]>((done) => (readBack = done)),
    ];
    vi.stubGlobal('fetch', async (address: string, init?: RequestInit) => {
      if (init?.method === 'POST') return Response.json({ ids: [1, 2, 3, null] });
      if (address.includes('state=staged')) return Response.json(await lists.shift());
      return Response.json([]);
    });
    function Shown() {
      const tray = useTray(5);
      return (
        <button type="button" onClick={() => tray.stage.mutate([])}>
          {tray.count} counted, {tray.changes.length} read
        </button>
      );
    }
    draw(<Shown />);
    fireEvent.click(await screen.findByText('1 counted, 1 read'));
    await screen.findByText('3 counted, 1 read');
    // The page may be left before the tray is read back: what was staged can be undone by then.
    expect(sessionStorage.getItem('mowing-undo-5')).toContain('3 changes put in the tray');
    readBack([1, 2, 3].map((id) => aBid({ id })));
    await screen.findByText('3 counted, 3 read');
  });
});
