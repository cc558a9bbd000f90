import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { choicesOf, draw, pick, typeIn } from '../../../tests/make/page';
import type { GoalsAnswer, ImportAnswer, JobInfo } from '../../contract/api';
import type { Goal } from '../../core/goals';
import { IMPORT_LABELS } from '../../contract/reportFields';
import { ApiError } from '../shared/api';
import { MappingForm } from '../shared/imports/MappingForm';
import { SyncPanel } from './data/SyncPanel';
import { UploadBox } from '../shared/imports/UploadBox';
import type { ImportsState } from '../shared/imports/useImports';
import type { SyncState } from './data/useSync';
import { GoalForm } from './goals/GoalForm';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const isOff = (name: string) =>
  (screen.getByRole('button', { name, hidden: true }) as HTMLButtonElement).disabled;

describe('a target', () => {
  const SCOPES = [
    { scope: 'campaign', id: 4, name: 'Jars – exact' },
    { scope: 'product', id: 2, name: 'Crock, 5 l' },
  ] as GoalsAnswer['scopes'];
  function form() {
    const set: Goal[] = [];
    draw(<GoalForm scopes={SCOPES} onSet={(goal) => Promise.resolve(set.push(goal))} />);
    const choose = (name: string) => {
      fireEvent.mouseDown(screen.getByRole('combobox', { name: 'For' }));
      fireEvent.click(screen.getByRole('option', { name }));
    };
    return { set, choose };
  }

  test('is set on what is chosen, in per cent; the form is empty again', async () => {
    const { set, choose } = form();
    choose('Jars – exact');
    typeIn('Target, %', '24,5');
    press('Set');
    await waitFor(() =>
      expect(set).toEqual([{ scope: 'campaign', scopeId: 4, kind: 'acos', low: 0.245, high: 0.245 }]),
    );
    await waitFor(() =>
      expect([
        screen.getByRole('combobox', { name: 'For' }),
        screen.getByLabelText('Target, %'),
      ]).toMatchObject([{ value: '' }, { value: '' }]),
    );
  });

  test('may be a range, and a margin that is nothing or less', async () => {
    const { set, choose } = form();
    choose('Crock, 5 l');
    pick('Kind of target', 'margin after ads');
    typeIn('Target, %', '-5');
    typeIn('Up to, for a range, %', '10');
    press('Set');
    await waitFor(() =>
      expect(set).toEqual([{ scope: 'product', scopeId: 2, kind: 'margin', low: -0.05, high: 0.1 }]),
    );
  });

  test.each([
    ['without what it is for', false, '20', '', 'Choose what the target is for.'],
    ['without a number', true, '', '', 'Type a target.'],
    ['of no number', true, 'twenty', '', 'Type a target.'],
    ['of nothing', true, '0', '', 'More than 0 %.'],
    ['above ten times the sales', true, '1001', '', 'Type a target.'],
    ['that ends below its begin', true, '30', '20', 'Not less than the target.'],
  ])('%s is not set, and the field says why', async (_, isChosen, low, high, why) => {
    const { set, choose } = form();
    if (isChosen) choose('Jars – exact');
    typeIn('Target, %', low);
    typeIn('Up to, for a range, %', high);
    press('Set');
    expect((await screen.findByRole('alert')).textContent).toBe(why);
    expect(set).toEqual([]);
  });

  test('that the server refuses says so at the field it is about', async () => {
    const fault = new ApiError('bad-request', 'no', [{ where: 'body.high', what: 'At most 10.' }]);
    draw(<GoalForm scopes={SCOPES} onSet={() => Promise.reject(fault)} />);
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'For' }));
    fireEvent.click(screen.getByRole('option', { name: 'Crock, 5 l' }));
    typeIn('Target, %', '20');
    press('Set');
    expect((await screen.findByRole('alert')).parentElement!.textContent).toContain('Up to, for a range');
  });
});

const imports = (over: Partial<ImportsState>) =>
  ({
    kind: 'terms',
    setKind: () => {},
    list: [],
    error: null,
    upload: null,
    running: null,
    answer: null,
    fault: '',
    mapping: null,
    take: () => Promise.resolve(),
    match: () => Promise.resolve(),
    ...over,
  }) as ImportsState;

describe('headings that are not recognised', () => {
  const ANSWER = {
    importId: 9,
    kind: 'sales',
    fields: ['day', 'item', 'orders'],
    headings: ['When', 'Code', 'Sold', 'Rest'],
    matched: { When: 'day' },
    unmatched: ['item', 'orders'],
    firstLines: [['A shop'], ['When', 'Code', 'Sold', 'Rest'], ['1 Oct', 'B01', '4', 'x']],
    headingLine: 2,
    asksPeriod: true,
    asks: { decimals: '3,441', dayOrder: '05/11/2026' },
    several: [],
  } as unknown as ImportAnswer;

  test('are asked for by the field, and remembered for the file once each has its column', async () => {
    const matched: unknown[] = [];
    draw(
      <MappingForm
        answer={ANSWER}
        imports={imports({ match: (id, headings) => Promise.resolve(void matched.push([id, headings])) })}
      />,
    );
    const fields = screen
      .getAllByRole('combobox')
      .filter((one) => /^Column for/.test(one.getAttribute('aria-label')!));
    expect(fields.map(({ textContent }) => textContent)).toEqual(['When', 'Choose …', 'Choose …']);
    expect(screen.getByText('2 still without a column')).toBeTruthy();
    const [, item, orders] = fields.map((one) => one.getAttribute('aria-label')!);
    pick(item, 'Code');
    expect(isOff('Remember this and import')).toBe(true);
    pick(orders, 'Sold');
    fireEvent.submit(screen.getByLabelText('Match the columns'));
    await waitFor(() => expect(matched).toHaveLength(1));
    expect(matched).toEqual([[9, { When: 'day', Code: 'item', Sold: 'orders', Rest: '' }]]);
  });

  test('may stand in another line, which is pointed at; a file without days is told its period', () => {
    const said: unknown[] = [];
    draw(
      <MappingForm
        answer={ANSWER}
        imports={imports({ takeAgain: (one) => Promise.resolve(void said.push(one)) })}
      />,
    );
    expect(isOff('Import it as one period')).toBe(true);
    pick('Line of the headings', 'line 3: 1 Oct · B01 · 4 · x');
    fireEvent.click(screen.getByRole('button', { name: 'Read it again so' }));
    expect(said).toEqual([{ headingLine: 3 }]);
  });

  test('and how its amounts and days are written is asked with its own values, and sent with both answers', () => {
    const said: unknown[] = [];
    draw(
      <MappingForm
        answer={ANSWER}
        imports={imports({ takeAgain: (one) => Promise.resolve(void said.push(one)) })}
      />,
    );
    const group = screen.getByRole('group', { name: 'Read in two ways' });
    const send = within(group).getByRole('button', { name: 'Read it so' }) as HTMLButtonElement;
    pick('“3,441” is', '3441: thousands');
    expect(send.disabled).toBe(true);
    pick('In “05/11/2026”', 'the month comes first');
    fireEvent.click(send);
    expect(said).toEqual([{ decimals: 'point', dayOrder: 'month-first' }]);
  });
});

describe('a file', () => {
  test('may be any report or list that there is', () => {
    const chosen: string[] = [];
    draw(<UploadBox imports={imports({ setKind: (kind) => chosen.push(String(kind)) })} />);
    expect(choicesOf('Kind of file')).toHaveLength(Object.keys(IMPORT_LABELS).length);
    pick('Kind of file', IMPORT_LABELS.sales);
    expect(chosen).toEqual(['sales']);
  });

  test('is taken when it is chosen, and when it is dropped', () => {
    const taken: File[] = [];
    draw(<UploadBox imports={imports({ take: (file) => Promise.resolve(void taken.push(file)) })} />);
    const [one, other] = [new File(['a'], 'a.csv'), new File(['b'], 'b.csv')];
    fireEvent.change(screen.getByLabelText('Report file'), { target: { files: [one] } });
    fireEvent.drop(screen.getByRole('region', { name: 'Import a report' }), {
      dataTransfer: { files: [other] },
    });
    expect(taken.map(({ name }) => name)).toEqual(['a.csv', 'b.csv']);
  });

  test('on its way tells how far it is, and takes no second beside it', () => {
    const upload = { name: 'long.csv', size: 1000, sent: 500, startedAt: Date.now() - 10_000 };
    const running = { state: 'reading', read: 12_345 } as ImportAnswer;
    draw(<UploadBox imports={imports({ upload, running })} />);
    expect(screen.getByRole('status').textContent).toMatch(
      /long\.csv: 50 % sent, 12,345 rows read · (10|11) s left/,
    );
    expect(isOff('Import a file')).toBe(true);
  });

  test('that is not taken says why, in a sentence', () => {
    draw(<UploadBox imports={imports({ fault: 'The file is empty.' })} />);
    expect(screen.getByRole('alert').textContent).toBe('▲ The file is empty.');
  });
});

describe('the connection to the market', () => {
  const JOB = {
    id: 3,
    kind: 'sync',
    state: 'running',
    done: 4,
    total: 10,
    doing: 'placements report',
    message: '',
    tries: 1,
    startedAt: '2026-11-27T08:00:00Z',
    finishedAt: null,
    nextTryAt: null,
    cancelAsked: false,
  } as unknown as JobInfo;
  function panel(job: JobInfo | null, jobs: JobInfo[] = []) {
    const done: string[] = [];
    const sync = {
      data: { marketDay: '2026-11-20', unsettled: ['2026-11-18', '2026-11-19'], jobs },
      job,
      error: null,
      start: () => done.push('start'),
      advance: (days: number) => done.push(`advance ${days}`),
      cancel: (id: number) => done.push(`cancel ${id}`),
    } as unknown as SyncState;
    draw(<SyncPanel sync={sync} />);
    return done;
  }

  test('tells the market’s day, and how many days still get orders', () => {
    const done = panel(null);
    expect(screen.getByRole('region', { name: 'Market' }).textContent).toContain(
      'The market’s day is 20 Nov; orders of the last 2 days are still coming in',
    );
    press('Sync now');
    typeIn('Days to let pass, days', '14');
    typeIn('Days to let pass, days', '61');
    press('Let pass');
    expect(done).toEqual(['start', 'advance 14']);
  });

  test('tells what runs and how long it takes yet, and can be cancelled once', () => {
    const done = panel({ ...JOB, startedAt: new Date(Date.now() - 8000).toISOString() });
    expect(screen.getByRole('status').textContent).toMatch(/placements report · 4 of 10 · 1[23] s left/);
    expect(isOff('Sync now')).toBe(true);
    press('Cancel');
    expect(done).toEqual(['cancel 3']);
  });

  test('that is being cancelled says when it stops', () => {
    panel({ ...JOB, cancelAsked: true });
    expect(isOff('Stopping before its next step …')).toBe(true);
  });

  test('that failed says why and when it tries again', () => {
    panel({
      ...JOB,
      state: 'waiting',
      message: 'The market does not answer.',
      nextTryAt: '2026-11-27T08:00:00Z',
    });
    expect(screen.getByRole('status').textContent).toMatch(
      /▲ The market does not answer\. Try 2 follows at .*\d\d:\d\d/,
    );
  });

  test('that has ended says how, the newest first', () => {
    panel(null, [
      { ...JOB, state: 'cancelled', message: 'Cancelled after 4 of 10.', finishedAt: '2026-11-27T08:00:00Z' },
      { ...JOB, state: 'failed', message: 'Older.', finishedAt: '2026-11-26T08:00:00Z' },
    ]);
    const told = within(screen.getByRole('region', { name: 'Market' })).getByRole('status');
    expect(told.textContent).toContain('Cancelled after 4 of 10.');
    expect(told.textContent).not.toContain('▲');
  });
});
