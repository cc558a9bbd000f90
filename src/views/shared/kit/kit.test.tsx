import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { choicesOf, draw, pick, typeIn } from '../../../../tests/make/page';
import { writeNumbersAs } from '../../../core/units';
import {
  Ask,
  Check,
  Choice,
  Columns,
  DayField,
  Empty,
  Finder,
  Loading,
  MoneyField,
  NumberField,
  OneOf,
  Progress,
  ShareField,
  SidePanel,
  timeLeft,
} from '.';

const field = (label: string) => screen.getByLabelText(label) as HTMLInputElement;

describe('a number', () => {
  let told: (number | null)[] = [];
  function Number({ start, ...rest }: { start: number | null } & Partial<Parameters<typeof NumberField>[0]>) {
    const [value, setValue] = useState(start);
    const tell = (next: number | null) => {
      told.push(next);
      setValue(next);
    };
    return (
      <NumberField
        label="Clicks"
        value={value}
        min={1}
        max={50}
        step={5}
        onChange={tell}
        onNone={() => tell(null)}
        {...rest}
      />
    );
  }
  const drawn = (start: number | null, rest = {}) => {
    told = [];
    draw(<Number start={start} {...rest} />);
  };

  test('is told on leaving and by Enter, once, and not while it is typed', () => {
    drawn(10);
    fireEvent.change(field('Clicks'), { target: { value: '12' } });
    expect(told).toEqual([]);
    fireEvent.keyDown(field('Clicks'), { key: 'Enter' });
    fireEvent.blur(field('Clicks'));
    expect(told).toEqual([12]);
  });

  test('goes up and down by its step on the arrows, by ten with Shift, and stays within its bounds', () => {
    drawn(10);
    fireEvent.keyDown(field('Clicks'), { key: 'ArrowUp' });
    fireEvent.keyDown(field('Clicks'), { key: 'ArrowUp', shiftKey: true });
    fireEvent.keyDown(field('Clicks'), { key: 'ArrowDown' });
    expect(told).toEqual([15, 50, 45]);
  });

  test('out of its bounds, or none at all, is marked, told nobody, and the old one comes back', () => {
    drawn(10);
    for (const typed of ['0', '51', 'x', '1-2']) {
      fireEvent.change(field('Clicks'), { target: { value: typed } });
      expect(field('Clicks').getAttribute('aria-invalid')).toBe('true');
      expect(field('Clicks').title).toBe('A number, 1 to 50');
      fireEvent.blur(field('Clicks'));
      expect(field('Clicks').value).toBe('10');
    }
    expect(told).toEqual([]);
  });

  test('emptied is no number where that is allowed; else the old one comes back', () => {
    drawn(10);
    typeIn('Clicks', '');
    expect(told).toEqual([null]);
    drawn(10, { label: 'Orders', onNone: undefined });
    typeIn('Orders', '');
    expect(field('Orders').value).toBe('10');
  });

  test('is given up by Escape', () => {
    drawn(10);
    fireEvent.change(field('Clicks'), { target: { value: '33' } });
    fireEvent.keyDown(field('Clicks'), { key: 'Escape' });
    fireEvent.blur(field('Clicks'));
    expect([field('Clicks').value, told]).toEqual(['10', []]);
  });
});

describe('money and shares', () => {
  afterEach(() => writeNumbersAs('en-GB'));

  test('are typed and pasted either way, and kept in millionths and parts of one', () => {
    const told: number[] = [];
    draw(
      <>
        <MoneyField label="Bid" micros={400_000} currency="EUR" onMicros={(micros) => told.push(micros)} />
        <ShareField label="Target" share={0.24} onShare={(share) => told.push(share)} />
      </>,
    );
    expect([field('Bid, EUR').value, field('Target, %').value]).toEqual(['0.40', '24']);
    typeIn('Bid, EUR', '1,25');
    typeIn('Bid, EUR', '1.234,50');
    typeIn('Target, %', '24,5 %');
    expect(told).toEqual([1_250_000, 1_234_500_000, 0.245]);
  });

  test('stand as the reader writes them', () => {
    writeNumbersAs('de-DE');
    draw(<MoneyField label="Bid" micros={1_250_000} currency="EUR" onMicros={() => {}} />);
    expect(field('Bid, EUR').value).toBe('1,25');
  });

  test('go by the market’s step', () => {
    const told: number[] = [];
    draw(
      <MoneyField
        label="Bid"
        micros={100_000}
        currency="EUR"
        step={5_000}
        onMicros={(micros) => told.push(micros)}
      />,
    );
    fireEvent.keyDown(field('Bid, EUR'), { key: 'ArrowUp' });
    expect(told).toEqual([105_000]);
  });
});

describe('choices', () => {
  test('are shown by their words and told by their value; what cannot be taken says so', () => {
    const told: string[] = [];
    draw(
      <Choice label="Pace" value="steady" onChange={(next) => told.push(next)}>
        {[
          ['careful', 'carefully'],
          ['steady', 'steadily'],
          ['own', 'by own numbers', true],
        ]}
      </Choice>,
    );
    expect(screen.getByRole('combobox', { name: 'Pace' }).textContent).toBe('steadily');
    expect(choicesOf('Pace')).toEqual(['carefully', 'steadily', 'by own numbers']);
    pick('Pace', 'carefully');
    expect(told).toEqual(['careful']);
  });

  test('of thousands are offered by the first of them, and told by their value', async () => {
    const told: number[] = [];
    draw(
      <Finder label="Home" value={null} onChange={(id) => told.push(id)}>
        {Array.from({ length: 3000 }, (_, at) => ({ value: at, words: `Campaign ${at} › exact` }))}
      </Finder>,
    );
    fireEvent.mouseDown(await screen.findByRole('combobox', { name: 'Home' }, { timeout: 20_000 }));
    expect(screen.getAllByRole('option')).toHaveLength(80);
    fireEvent.click(screen.getByRole('option', { name: 'Campaign 27 › exact' }));
    expect(told).toEqual([27]);
  });

  test('of yes and no, and of a few, are told as they are made', () => {
    const told: unknown[] = [];
    draw(
      <>
        <Check isOn={false} onChange={(next) => told.push(next)}>
          change these too
        </Check>
        <OneOf label="Match" value="exact" onChange={(next) => told.push(next)}>
          {['exact', 'phrase']}
        </OneOf>
      </>,
    );
    fireEvent.click(screen.getByLabelText('change these too'));
    fireEvent.click(screen.getByLabelText('phrase'));
    expect(told).toEqual([true, 'phrase']);
  });
});

describe('a day', () => {
  test('is taken from a calendar whose weeks begin on Monday, in which unsettled days are marked', async () => {
    const told: string[] = [];
    draw(
      <DayField
        label="To"
        value="2026-11-16"
        unsettled={['2026-11-17']}
        onChange={(day) => told.push(day)}
      />,
    );
    fireEvent.click(await screen.findByRole('button', { name: 'To: calendar' }, { timeout: 20_000 }));
    const heads = await screen.findAllByRole('columnheader', {}, { timeout: 20_000 });
    expect(heads.map((one) => one.getAttribute('aria-label'))[0]).toMatch(/^Mon/);
    expect(screen.getByTitle('Orders of this day are still coming in').textContent).toBe('17');
    fireEvent.click(screen.getByRole('gridcell', { name: '12' }));
    expect(told).toEqual(['2026-11-12']);
  });
});

describe('waiting, nothing, and how far something is', () => {
  test('a quick answer shows no sign of waiting; a slow one does', async () => {
    vi.useFakeTimers();
    draw(<Loading>Reading the figures …</Loading>);
    const told = screen.getByRole('status');
    expect(told.hasAttribute('data-slow')).toBe(false);
    await vi.advanceTimersByTimeAsync(400);
    vi.useRealTimers();
    await waitFor(() => expect(told.hasAttribute('data-slow')).toBe(true));
  });

  test('nothing says why, and what to do', () => {
    draw(
      <Empty why="They come with a sync." next={<a href="/setup">Sync</a>}>
        No targets yet.
      </Empty>,
    );
    expect(document.body.textContent).toBe('No targets yet.They come with a sync.Sync');
  });

  test('what is left is told in seconds, then in minutes', () => {
    expect([timeLeft(0.2), timeLeft(42.4), timeLeft(89), timeLeft(240)]).toEqual([
      '1 s left',
      '42 s left',
      '89 s left',
      '4 min left',
    ]);
    draw(
      <Progress label="Import" share={0.5} left={10}>
        half of it
      </Progress>,
    );
    expect(screen.getByRole('progressbar', { name: 'Import' }).getAttribute('aria-valuenow')).toBe('50');
    expect(screen.getByText(/half of it · 10 s left/)).toBeTruthy();
  });
});

describe('a question', () => {
  test('is answered by Enter, wherever the focus is, and given up by Escape', () => {
    const answers: boolean[] = [];
    const { unmount } = draw(
      <Ask title="Accept 3?" does="Accept 3" onDone={(isWanted) => answers.push(isWanted)}>
        They go to the tray.
      </Ask>,
    );
    fireEvent.keyDown(document.body, { key: 'Enter' });
    fireEvent.keyDown(screen.getByText('They go to the tray.'), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
    expect(answers).toEqual([true, true, false]);
    unmount();
    draw(
      <Ask title="Accept none?" does="Accept 0" isOff onDone={(isWanted) => answers.push(isWanted)}>
        Nothing.
      </Ask>,
    );
    fireEvent.keyDown(document.body, { key: 'Enter' });
    expect(answers).toHaveLength(3);
  });
});

test('the sides of a place are sized by their edges, and stay so', () => {
  const place = () =>
    draw(
      <Columns name="test" left={<nav>Steps</nav>} panel="open">
        <main>Rows</main>
        <SidePanel label="Evidence">Why</SidePanel>
      </Columns>,
    );
  const { unmount, container } = place();
  const edge = (name: string) => screen.getByRole('separator', { name });
  fireEvent.keyDown(edge('Width of the list'), { key: 'ArrowRight' });
  fireEvent.keyDown(edge('Width of the panel'), { key: 'ArrowLeft' });
  fireEvent.keyDown(edge('Width of the panel'), { key: 'ArrowLeft' });
  const columns = (within: HTMLElement) =>
    within.querySelector<HTMLElement>('.columns')!.style.getPropertyValue('--columns');
  expect(columns(container)).toContain('222px');
  expect(columns(container)).toContain('356px');
  unmount();
  expect(columns(place().container)).toContain('356px');
});
