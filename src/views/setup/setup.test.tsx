import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw } from '../../../tests/make/page';
import type { GoalsAnswer, ImportAnswer, JobInfo } from '../../contract/api';
import type { Goal } from '../../core/goals';
import { IMPORT_LABELS } from '../../contract/reportFields';
import { MappingForm } from './data/MappingForm';
import { SyncPanel } from './data/SyncPanel';
import { UploadBox } from './data/UploadBox';
import type { ImportsState } from './data/useImports';
import type { SyncState } from './data/useSync';
import { GoalForm } from './goals/GoalForm';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const isOff = (name: string) => (screen.getByRole('button', { name }) as HTMLButtonElement).disabled;

describe('a target', () => {
  const SCOPES = [
    { scope: 'campaign', id: 4, name: 'Jars – exact' },
    { scope: 'product', id: 2, name: 'Crock, 5 l' },
  ] as GoalsAnswer['scopes'];
  function form() {
    const set: Goal[] = [];
    draw(<GoalForm scopes={SCOPES} onSet={(goal) => set.push(goal)} />);
    const choose = (name: string) => {
      fireEvent.mouseDown(screen.getByRole('combobox', { name: 'For' }));
      fireEvent.click(screen.getByRole('option', { name }));
    };
    return { set, choose };
  }

  test('is set on what is chosen, in per cent; the form is empty again', () => {
    const { set, choose } = form();
    choose('Jars – exact');
    type('Target in per cent', '24,5');
    press('Set');
    expect(set).toEqual([{ scope: 'campaign', scopeId: 4, kind: 'acos', low: 0.245, high: 0.245 }]);
    expect([
      screen.getByRole('combobox', { name: 'For' }),
      screen.getByLabelText('Target in per cent'),
    ]).toMatchObject([{ value: '' }, { value: '' }]);
  });

  test('may be a range, and a margin that is nothing or less', () => {
    const { set, choose } = form();
    choose('Crock, 5 l');
    type('Kind of target', 'margin');
    type('Target in per cent', '-5');
    type('Up to, in per cent', '10');
    press('Set');
    expect(set).toEqual([{ scope: 'product', scopeId: 2, kind: 'margin', low: -0.05, high: 0.1 }]);
  });

  test.each([
    ['without what it is for', false, '20', ''],
    ['without a number', true, '', ''],
    ['of no number', true, 'twenty', ''],
    ['of nothing', true, '0', ''],
    ['above ten times the sales', true, '1001', ''],
    ['that ends below its begin', true, '30', '20'],
    ['that ends in no number', true, '30', 'x'],
  ])('%s cannot be set', (_, isChosen, low, high) => {
    const { set, choose } = form();
    if (isChosen) choose('Jars – exact');
    type('Target in per cent', low);
    type('Up to, in per cent', high);
    expect(isOff('Set')).toBe(true);
    fireEvent.submit(screen.getByRole('form', { name: 'Set a target' }));
    expect(set).toEqual([]);
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
  } as unknown as ImportAnswer;

  test('are asked for by the field, and remembered for the file once each has its column', () => {
    const matched: unknown[] = [];
    draw(
      <MappingForm
        answer={ANSWER}
        imports={imports({ match: (id, headings) => Promise.resolve(void matched.push([id, headings])) })}
      />,
    );
    const fields = screen.getAllByRole('combobox') as HTMLSelectElement[];
    expect(fields.map(({ value }) => value)).toEqual(['When', '', '']);
    expect(screen.getByText('Still without a column: 2')).toBeTruthy();
    fireEvent.change(fields[1], { target: { value: 'Code' } });
    expect(isOff('Remember this and import')).toBe(true);
    fireEvent.change(fields[2], { target: { value: 'Sold' } });
    press('Remember this and import');
    expect(matched).toEqual([[9, { When: 'day', Code: 'item', Sold: 'orders', Rest: '' }]]);
  });
});

describe('a file', () => {
  test('may be any report or list that there is', () => {
    const chosen: string[] = [];
    draw(<UploadBox imports={imports({ setKind: (kind) => chosen.push(String(kind)) })} />);
    const kinds = screen.getByLabelText('Kind of file');
    expect(kinds.children).toHaveLength(Object.keys(IMPORT_LABELS).length);
    type('Kind of file', 'sales');
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
      /long\.csv: 50 % sent, 12,345 rows read, about (10|11) s left/,
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
      'The market’s day is 2026-11-20; orders of the last 2 days are still coming in',
    );
    press('Sync now');
    type('Days to let pass', '14');
    press('Let pass');
    expect(done).toEqual(['start', 'advance 14']);
    type('Days to let pass', '61');
    expect(isOff('Let pass')).toBe(true);
  });

  test('tells what runs and how long it takes yet, and can be cancelled once', () => {
    const done = panel({ ...JOB, startedAt: new Date(Date.now() - 8000).toISOString() });
    expect(screen.getByRole('status').textContent).toMatch(/placements report · 4 of 10, about 1[23] s left/);
    expect(isOff('Sync now')).toBe(true);
    press('Cancel');
    expect(done).toEqual(['cancel 3']);
  });

  test('that is being cancelled says when it stops', () => {
    panel({ ...JOB, cancelAsked: true });
    expect(isOff('Stops before its next step …')).toBe(true);
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
