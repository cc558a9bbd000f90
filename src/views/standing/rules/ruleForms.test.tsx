import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { choicesOf, draw, pick, typeIn } from '../../../../tests/make/page';
import { anAccountInfo } from '../../../../tests/make/review';
import type { RuleInfo } from '../../../contract/rules';
import { USUAL_GUARDS, USUAL_RULE } from '../../../core/rules';
import type { NewTermsRule, Rule, RuleGuards } from '../../../core/rules';
import { GuardsDialog } from './GuardsDialog';
import { NewTermFields } from './NewTermFields';
import { RuleForm } from './RuleForm';

const account = anAccountInfo({ id: 4 });

function form(over: Partial<Rule> = {}) {
  const asked: Partial<Rule>[] = [];
  const info = { rule: { ...USUAL_RULE, ...over } } as RuleInfo;
  draw(<RuleForm account={account} info={info} onRule={(change) => asked.push(change)} />);
  return asked;
}

describe('a rule', () => {
  test('aims at what its scope aims at until it is told a target of its own', () => {
    const asked = form({ target: null });
    expect(screen.getByText('empty: the target of its scope')).toBeTruthy();
    typeIn('ACOS', '30');
    expect(asked).toEqual([{ target: { low: 0.3, high: 0.3 } }]);
  });

  test('may aim at a range, inside which nothing is to be done; its ends never cross', () => {
    const asked = form({ target: { low: 0.2, high: 0.3 } });
    expect(screen.getByText('inside the range nothing is to be done')).toBeTruthy();
    typeIn('ACOS', '40');
    typeIn('up to', '35');
    expect(asked).toEqual([{ target: { low: 0.4, high: 0.4 } }, { target: { low: 0.2, high: 0.35 } }]);
    typeIn('ACOS', '');
    expect(asked.at(-1)).toEqual({ target: null });
  });

  test.each<[Rule['work'], string[], string[]]>([
    ['bids', ['in one night down by', 'up by', 'not below', 'Settled days after each change'], ['Match']],
    ['negatives', ['ACOS', 'Look-back'], ['in one night down by', 'Settled days after each change']],
    ['placements', ['a modifier of', 'Campaigns first', 'not below'], ['in one night down by']],
    ['by hand', ['What is done with them', 'Their bids move by, %'], ['ACOS', 'up by']],
  ])('on %s asks for what that needs, and for nothing else', (work, asks, asksNot) => {
    form({ work, target: null });
    for (const label of asks) expect(screen.getAllByLabelText(label), label).not.toHaveLength(0);
    for (const label of asksNot) expect(screen.queryAllByLabelText(label), label).toHaveLength(0);
  });

  test('that waits for nothing is told what that costs', () => {
    form({ work: 'bids', waitDays: 0 });
    expect(screen.getByText(/what it did can hardly be measured without/)).toBeTruthy();
  });

  test('keeps its name where it is emptied, and trims a new one', () => {
    const asked = form({ name: 'Night bids' });
    typeIn('Name', '   ');
    typeIn('Name', '  Careful nights ');
    expect(asked).toEqual([{ name: 'Careful nights' }]);
  });

  test('asks first unless it is told to send', () => {
    const asked = form({ sends: false });
    expect(choicesOf('What becomes of it')).toEqual([
      'asks: it waits in the tray, marked',
      'sends by itself',
    ]);
    pick('What becomes of it', 'sends by itself');
    expect(asked).toEqual([{ sends: true }]);
  });

  test('by hand moves bids by a share, or pauses', () => {
    const asked = form({ work: 'by hand', hand: { conditions: [], percent: -0.15 } });
    typeIn('Their bids move by, %', '-20');
    pick('What is done with them', 'they are paused');
    expect(asked).toEqual([
      { hand: { conditions: [], percent: -0.2 } },
      { hand: { conditions: [], percent: null } },
    ]);
  });

  test('does at most so much a night, in changes and in money', () => {
    const asked = form();
    typeIn('Changes at most', '50');
    typeIn('More expected spend a month at most, EUR', '12.50');
    expect(asked).toEqual([
      { most: { ...USUAL_RULE.most, changes: 50 } },
      { most: { ...USUAL_RULE.most, spend: 12_500_000 } },
    ]);
  });
});

describe('terms that join', () => {
  const usual: NewTermsRule = { market: true, campaigns: false, match: 'exact', most: 5 };
  const fields = (over: Partial<NewTermsRule> = {}) => {
    const asked: NewTermsRule[] = [];
    draw(
      <NewTermFields
        account={account}
        newTerms={{ ...usual, ...over }}
        onNewTerms={(newTerms) => asked.push(newTerms)}
      />,
    );
    return asked;
  };

  test('come from somewhere: the last source cannot be taken away', () => {
    const asked = fields();
    fireEvent.click(screen.getByLabelText('the market suggests'));
    expect(asked).toEqual([]);
    fireEvent.click(screen.getByLabelText('sold in other campaigns'));
    expect(asked).toEqual([{ ...usual, campaigns: true }]);
  });

  test('match as the market lets them, and the note says so', () => {
    const asked = fields();
    pick('Match', 'as phrase');
    expect(asked).toEqual([{ ...usual, match: 'phrase' }]);
    expect(screen.getByText(/with the most exact keywords/)).toBeTruthy();
  });
});

describe('the guard rails of all rules', () => {
  const dialog = () => {
    const done: (RuleGuards | null)[] = [];
    draw(<GuardsDialog account={account} guards={USUAL_GUARDS} onDone={(guards) => done.push(guards)} />);
    return done;
  };

  test('are set together, as they were typed', () => {
    const done = dialog();
    typeIn('a week’s spend is above the usual by more than', '40');
    typeIn('of a night’s changes are refused more than', '5');
    fireEvent.click(screen.getByRole('button', { name: 'Set them' }));
    expect(done).toEqual([{ ...USUAL_GUARDS, spendBound: 0.4, refusedBound: 0.05 }]);
  });

  test('stay as they were where the question is left', () => {
    const done = dialog();
    typeIn('a week’s spend is above the usual by more than', '40');
    fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
    expect(done).toEqual([null]);
  });
});
