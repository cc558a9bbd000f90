import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw, choicesOf, pick, typeIn } from '../../../../tests/make/page';
import { aPlan, aTerm } from '../../../../tests/make/plan';
import { anAccountInfo } from '../../../../tests/make/review';
import type { PlanLine } from '../../../contract/build';
import type { BuildPlan, Crossing } from '../../../core/build';
import { lineOf, PARTS } from '../../../core/build';
import type { CampaignFields } from '../../../core/changes';
import { PLACEMENTS } from '../../../core/structure';
import { FieldsForm } from './campaigns/FieldsForm';
import { Matrix } from './campaigns/Matrix';
import { linesOfPlan, refusalsAt, stateOf } from './lineStates';
import { AddTerms } from './terms/AddTerms';
import type { OpenPlan } from './usePlan';

const account = anAccountInfo({ id: 4 });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

/** A plan that is open, as far as these forms look at it; what is edited is kept. */
function opened(over: Partial<BuildPlan> = {}, more: Partial<OpenPlan> = {}) {
  const edits: Partial<BuildPlan>[] = [];
  const open = {
    account,
    plan: aPlan(over),
    data: { product: { name: 'Crock' } },
    edit: (change: Partial<BuildPlan>) => void edits.push(change),
    ...more,
  } as unknown as OpenPlan;
  return { open, edits };
}

describe('terms of a plan', () => {
  const form = (over: Partial<BuildPlan> = {}) => {
    const { open, edits } = opened(over);
    draw(<AddTerms open={open} matches={['exact', 'phrase']} onMatches={() => {}} />);
    const paste = (value: string) =>
      fireEvent.change(screen.getByLabelText('Terms to add'), { target: { value } });
    return { edits, paste };
  };

  test('are pasted in any form; item codes among them go to the items', () => {
    const { edits, paste } = form({ terms: [], items: [] });
    paste('stone jar, jar lid; stone jar\nQ7BC12D3F4');
    press('Add');
    expect(edits[0].terms!.map(({ text, matches }) => [text, matches])).toEqual([
      ['stone jar', ['exact', 'phrase']],
      ['jar lid', ['exact', 'phrase']],
    ]);
    expect(edits[0].items!.map(({ code }) => code)).toEqual(['Q7BC12D3F4']);
    expect(
      screen.getByText('2 terms added; 1 item code went to the items; 1 stood twice in what was pasted'),
    ).toBeTruthy();
  });

  test('that stand there, however they are spelt, get the new match types and are added no second time', () => {
    const { edits, paste } = form({ terms: [aTerm('Stone  Jars', ['broad'])] });
    paste('stone jar\nlid');
    press('Add');
    expect(edits[0].terms!.map(({ text, matches }) => [text, matches])).toEqual([
      ['Stone  Jars', ['broad', 'exact', 'phrase']],
      ['lid', ['exact', 'phrase']],
    ]);
    expect(screen.getByText('1 term added; 1 stood there: it got these match types too')).toBeTruthy();
  });

  test('that hold no word change nothing, and the heading of a file is none', () => {
    const { edits, paste } = form();
    paste('term\n , ;');
    press('Add');
    expect(edits).toEqual([]);
    expect(screen.getByText('Nothing was pasted that holds a word.')).toBeTruthy();
  });
});

describe('cross-negatives', () => {
  const [first, second] = PARTS.map(({ name }) => name);
  const crossing = (over: Partial<Crossing> = {}) =>
    ({ key: 'a>b', from: first, in: second, count: 12, campaigns: 1, isOn: true, ...over }) as Crossing;

  test('are left out and taken in again one by one', () => {
    const { open, edits } = opened({ uncrossed: ['c>d'] }, { crossings: [crossing()] });
    draw(<Matrix open={open} />);
    fireEvent.click(screen.getByLabelText('12'));
    expect(edits).toEqual([{ uncrossed: ['c>d', 'a>b'] }]);
  });

  test('tell over how many campaigns they go, and those that are out are not ticked', () => {
    const out = crossing({ isOn: false, campaigns: 3 });
    const { open, edits } = opened({ uncrossed: ['a>b', 'c>d'] }, { crossings: [out] });
    draw(<Matrix open={open} />);
    const box = screen.getByLabelText('12 × 3') as HTMLInputElement;
    expect(box.checked).toBe(false);
    fireEvent.click(box);
    expect(edits).toEqual([{ uncrossed: ['c>d'] }]);
  });

  test('are not spoken of where nothing would cross', () => {
    const { open } = opened({}, { crossings: [] });
    draw(<Matrix open={open} />);
    expect(screen.queryByText('Cross-negatives')).toBeNull();
  });
});

describe('settings of campaigns that are to be made', () => {
  const form = (options: Partial<NonNullable<typeof account.options>> | null) => {
    const asked: Partial<CampaignFields>[] = [];
    const fields: CampaignFields = aPlan().settings;
    draw(
      <FieldsForm
        account={{ ...account, options: options && { ...account.options!, ...options } }}
        fields={fields}
        onFields={(change) => asked.push(change)}
      />,
    );
    return asked;
  };

  test('are those that the market offers', () => {
    form({ budgetKinds: ['daily'], bidFlex: false, modifiers: ['top'], similarCategories: false });
    for (const label of ['budget', 'bid flex', 'similar categories'])
      expect(screen.queryByLabelText(label), label).toBeNull();
    expect(screen.getAllByLabelText(/top of search/i)).not.toHaveLength(0);
    expect(screen.queryAllByLabelText(/product pages/i)).toHaveLength(0);
  });

  test('begin at once and without an end until a day is named', () => {
    form(null);
    press('without an end');
    expect(screen.queryByRole('button', { name: 'without an end' })).toBeNull();
    expect(screen.getByRole('button', { name: 'at once' })).toBeTruthy();
  });

  test('are told one by one', () => {
    const asked = form({ budgetKinds: ['daily', 'lifetime'], modifiers: [...PLACEMENTS] });
    expect(choicesOf('budget')).toEqual(['a day', 'for its life']);
    pick('budget', 'for its life');
    pick('spends', 'as fast as it can');
    typeIn('top of search, %', '50');
    fireEvent.click(screen.getByLabelText('start paused'));
    expect(asked).toEqual([
      { budgetKind: 'lifetime' },
      { pacing: 'fast' },
      { top: 0.5 },
      { state: 'paused' },
    ]);
  });
});

describe('how far a plan is', () => {
  const line = (state: PlanLine['state'], more: Partial<PlanLine> = {}) =>
    ({ state, baleId: null, answer: null, ...more }) as PlanLine;
  const lines = {
    'exact | campaign': line('accepted', { baleId: 7 }),
    'exact | keyword': line('refused', { baleId: 7, answer: 'The bid is too low.' }),
    'exact two | campaign': line('staged'),
    'auto | campaign': line('sending', { baleId: 3 }),
  };

  test('is told by campaign: one whose name begins alike is another one', () => {
    expect(stateOf(lines, 'exact')).toEqual({ words: '1 made, 1 refused.', isBad: true });
    expect(stateOf(lines, 'exact two')).toEqual({ words: '1 in the tray.', isBad: false });
    expect(stateOf(lines, 'broad')).toBeNull();
  });

  test('is told as a whole, with the bales that it went out in', () => {
    expect(linesOfPlan(lines)).toEqual({
      words: '1 made, 1 under way, 1 in the tray, 1 refused.',
      isBad: true,
      bales: [3, 7],
    });
    expect(linesOfPlan({})).toBeNull();
  });

  test('brings what the market said back to the term that it said it of', () => {
    const target = { at: 'terms.3' } as OpenPlan['campaigns'][number]['targets'][number];
    const campaigns = [{ key: 'exact', targets: [target] }] as unknown as OpenPlan['campaigns'];
    const refused = { [lineOf.target('exact', target)]: line('refused', { answer: 'The bid is too low.' }) };
    expect(refusalsAt({ campaigns, data: { lines: refused } }, 'terms.3')).toEqual([
      'Refused: The bid is too low.',
    ]);
    expect(refusalsAt({ campaigns, data: { lines: refused } }, 'terms.4')).toEqual([]);
  });
});
