import { screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { threeTargets } from '../../../../tests/make/bids';
import { draw } from '../../../../tests/make/page';
import type { AccountInfo } from '../../../contract/api';
import type { RoundState } from '../useRoundState';
import type { StepRowsState } from '../useStepRows';
import { BidRows } from './BidRows';
import type { BidStepSpec } from './bidSpec';
import type { BidDecisions, BidWork } from './useBidWork';

// The page has no layout here: a table is as tall as it would be on a small screen.
beforeEach(() => {
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(320);
  vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(900);
});
afterEach(() => vi.restoreAllMocks());

const { table, plan } = threeTargets();
const shown = Int32Array.of(0, 1, 2);
const spec = {
  figures: ['clicks', 'spend'],
  stake: { label: 'Spend', definition: '' },
} as unknown as BidStepSpec;
const state = { show: 'proposed', sort: null, conditions: [] } as unknown as RoundState;
const NOTHING = { edits: new Map(), stagedIds: [], aside: new Map() } as unknown as BidDecisions;

/** The rows of a step, as they are drawn when something around them changes; `drawn` tells which since it was asked last. */
function rowsOf() {
  const rows = new Set<number>();
  const grade = new Proxy(plan.grade, { get: (all, at) => (rows.add(Number(at)), Reflect.get(all, at)) });
  const watched = { ...plan, grade };
  const accepted: [when: string, row: number][] = [];
  const step = (when: string, decisions: BidDecisions, focus = 0) => {
    const view = { shown, rows: { focus, focusedRow: shown[focus], selection: new Set(), setFocus() {} } };
    const work = {
      view: view as unknown as StepRowsState,
      decisions,
      settings: { limits: { bidStep: 10_000 } },
    };
    return (
      <BidRows
        account={{ id: 1, currency: 'EUR' } as AccountInfo}
        state={{ ...state }}
        work={work as BidWork}
        spec={spec}
        more={NO_MORE}
        table={table}
        plan={watched}
        editing={null}
        onEditing={() => {}}
        onAccept={(row) => accepted.push([when, row])}
      />
    );
  };
  const { rerender } = draw(step('first', NOTHING));
  return {
    drawn: () => {
      const list = [...rows].sort();
      rows.clear();
      return list;
    },
    accepted,
    show: (...given: Parameters<typeof step>) => rerender(step(...given)),
  };
}
const NO_MORE: never[] = [];

test('rows stay as they are while the answers of other steps come, and a click does what the newest say', () => {
  const { drawn, accepted, show } = rowsOf();
  expect(drawn()).toEqual([0, 1, 2]);
  show('later', NOTHING);
  expect(drawn()).toEqual([]);
  screen.getAllByRole('button', { name: /^Accept: / })[1].click();
  expect(accepted).toEqual([['later', 1]]);
});

test('a move of the focus draws the row that it leaves and the one that it comes to', () => {
  const { drawn, show } = rowsOf();
  drawn();
  show('later', NOTHING, 2);
  expect(drawn()).toEqual([0, 2]);
});

test('what is decided is seen at once', () => {
  const { show } = rowsOf();
  show('later', { ...NOTHING, stagedIds: [table.targetId[0]] });
  expect(screen.getAllByText('in the tray')).toHaveLength(1);
});
