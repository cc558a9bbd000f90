import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { anAccountInfo } from '../../../../tests/make/review';
import { draw, pick, typeIn } from '../../../../tests/make/page';
import type { NewChange } from '../../../contract/changes';
import type { CoreTerm } from '../../../core/words';
import type { PartDetail, PartPlace } from '../../../plans/words';
import type { TrayState } from '../../shared/tray/useTray';
import { CoreRow } from '../core/CoreRow';
import { BlockPart } from './BlockPart';
import { PhraseKeyword } from './PhraseKeyword';

const sums = (clicks: number, orders: number, spend: number, sales: number) => ({
  impressions: clicks * 20,
  clicks,
  orders,
  units: orders,
  spend: spend * 1e6,
  sales: sales * 1e6,
});
const place = (campaignId: number, over: Partial<PartPlace> = {}): PartPlace => ({
  campaignId,
  campaign: `Campaign ${campaignId}`,
  sums: sums(60, 0, 30, 0),
  targets: [],
  isNegative: false,
  ...over,
});
const detail = (over: Partial<PartDetail> = {}): PartDetail => ({
  text: 'flower pot',
  count: 3,
  terms: [],
  sold: 0,
  sums: sums(180, 0, 90, 0),
  places: [],
  adGroups: [],
  isKeyword: false,
  ...over,
});

/** A tray that keeps what is staged into it. */
function aTray(changes: unknown[] = []) {
  const staged: NewChange[] = [];
  const stage = { isPending: false, mutate: (list: NewChange[]) => void staged.push(...list) };
  return { staged, tray: { changes, stage } as unknown as TrayState };
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const ticked = () => screen.getAllByRole('checkbox').map((one) => (one as HTMLInputElement).checked);

describe('a part is blocked', () => {
  const places = [
    place(1),
    place(2, { sums: sums(40, 2, 20, 50), targets: ['red flower pot', 'flower pot'] }),
    place(3, { isNegative: true }),
  ];

  test('where it did not sell; where it did, and where it is blocked already, it is left alone', () => {
    const { tray, staged } = aTray();
    draw(<BlockPart detail={detail({ places })} tray={tray} currency="EUR" />);
    expect(ticked()).toEqual([true, false, true]);
    expect(screen.getAllByRole('checkbox')[2]).toHaveProperty('disabled', true);
    // 30 EUR in 90 days.
    expect(screen.getByText(/Saves 10\.\d\d EUR a month, and no sale is lost\./)).toBeTruthy();
    press('Block in 1 campaign');
    expect(staged.map(({ change }) => change)).toEqual([
      { kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'phrase', expression: 'flower pot' },
    ]);
    expect(staged[0].reason).toContain('60 clicks, 0 orders, 30.00 spent there in 90 days');
    expect(staged[0].effect.spend).toBeCloseTo(-30e6 / (90 / 30.4), -6);
  });

  test('where it sold only after what is given up was told, live targets too', () => {
    const { tray, staged } = aTray();
    draw(<BlockPart detail={detail({ places })} tray={tray} currency="EUR" />);
    expect(screen.getByText('▲ keeps “red flower pot” from showing')).toBeTruthy();
    fireEvent.click(screen.getAllByRole('checkbox')[1]);
    expect(
      screen.getByText(/gives up 16\.\d\d of sales; 2 live targets would not show any more\.$/),
    ).toBeTruthy();
    press('Block in 2 campaigns');
    expect(staged).toHaveLength(2);
    expect(staged[1].effect.sales).toBeLessThan(0);
  });

  test('nowhere without a campaign', () => {
    const { tray } = aTray();
    draw(<BlockPart detail={detail({ places: places.slice(0, 1) })} tray={tray} currency="EUR" />);
    fireEvent.click(screen.getAllByRole('checkbox')[0]);
    expect(screen.getByText('Choose a campaign.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Block in 0 campaigns' })).toHaveProperty('disabled', true);
  });
});

describe('a part that sells under the target', () => {
  const good = detail({
    sums: sums(200, 20, 80, 800),
    adGroups: [
      { id: 11, name: 'Crock › auto' },
      { id: 12, name: 'Crock › research' },
    ],
  });
  const account = anAccountInfo({ targetAcos: 0.24 });

  test('is bid on as a phrase in an ad group where it ran, at what its clicks are worth', () => {
    const { tray, staged } = aTray();
    draw(<PhraseKeyword account={account} detail={good} tray={tray} />);
    expect(screen.getByText(/^It sells at 10\.0 % ACOS/)).toBeTruthy();
    pick('Ad group', 'Crock › research');
    typeIn('Bid', '0.55');
    press('Bid on it');
    expect(staged[0]).toMatchObject({
      change: { kind: 'add-keyword', adGroupId: 12, expression: 'flower pot', match: 'phrase', bid: 550_000 },
      figures: { step: 'harvest', clicks: 200, orders: 20 },
    });
  });

  test('is offered no second time, and one over the target not at all', () => {
    const { tray } = aTray();
    const { rerender } = draw(
      <PhraseKeyword account={account} detail={{ ...good, isKeyword: true }} tray={tray} />,
    );
    expect(screen.getByText('A live phrase keyword bids on it already.')).toBeTruthy();
    rerender(
      <PhraseKeyword account={account} detail={{ ...good, sums: sums(200, 2, 80, 90) }} tray={tray} />,
    );
    expect(screen.queryByText(/phrase keyword/)).toBeNull();
  });
});

describe('a core term', () => {
  const leak = (adGroupId: number, isBlocked = false) => ({
    adGroupId,
    campaignId: 1,
    sums: sums(10, 0, 5, 0),
    isBlocked,
  });
  const term = (over: Partial<CoreTerm & { places: string[] }> = {}) =>
    ({
      term: 'stone jar',
      form: 'stone jar',
      isPinned: false,
      sums: sums(100, 9, 40, 300),
      home: { id: 5, adGroupId: 9, kind: 'keyword', bid: 600_000 },
      atHome: 0.6,
      leaks: [leak(21), leak(22), leak(23, true), leak(24), leak(25)],
      places: ['A', 'B', 'C', 'D', 'E'],
      ...over,
    }) as CoreTerm & { places: string[] };
  const row = (one: ReturnType<typeof term>, changes: unknown[] = []) => {
    const { tray, staged } = aTray(changes);
    const pinned: boolean[] = [];
    draw(
      <table>
        <tbody>
          <CoreRow account={1} one={one} tray={tray} onPin={(isWanted) => pinned.push(isWanted)} />
        </tbody>
      </table>,
    );
    return { staged, pinned };
  };

  test('has its leaks stopped in one go: each where it is not blocked yet', () => {
    const { staged } = row(term());
    // What is blocked is no leak; of four three are named.
    expect(screen.queryByText(/^C /)).toBeNull();
    expect(screen.getByText('and 1 more')).toBeTruthy();
    press('Stop the leaks of stone jar');
    expect(staged.map(({ change }) => change)).toEqual(
      [21, 22, 24, 25].map((adGroupId) => ({
        kind: 'add-negative',
        campaignId: 1,
        adGroupId,
        match: 'exact',
        expression: 'stone jar',
      })),
    );
  });

  test('stops no leak twice: what waits in the tray counts as done', () => {
    const waits = (adGroupId: number) => ({
      change: { kind: 'add-negative', campaignId: 1, adGroupId, match: 'exact', expression: 'stone jar' },
    });
    const { staged } = row(term(), [waits(21), waits(22), waits(24)]);
    press('Stop the leaks of stone jar');
    expect(staged.map(({ change }) => change)).toMatchObject([{ adGroupId: 25 }]);
  });

  test('without a home is led to one, and has nothing to stop: elsewhere is where it sells', () => {
    row(term({ home: null, atHome: null }));
    expect(screen.getByText('▲ none')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'give it one' }).getAttribute('href')).toContain(
      'step=harvest&show=all&where=term',
    );
    expect(screen.queryByRole('button', { name: /Stop/ })).toBeNull();
  });

  test('is pinned and let go', () => {
    const { pinned } = row(term({ isPinned: true }));
    press('Unpin stone jar');
    expect(pinned).toEqual([false]);
  });
});
