import { expect, test } from 'vitest';
import { aReview } from '../../../tests/make/review';
import { aRoute, EXACT } from '../../../tests/make/terms';
import { keptReview, reviewSettings } from '../terms';
import { USUAL_PLAN_CHOICES } from '../../contract/choices';
import { answerTerms } from './answerTerms';

const settings = reviewSettings(USUAL_PLAN_CHOICES.terms, 0.24);

test('what the market suggests holds for the question that it comes with, and is asked for anew each time', () => {
  const route = aRoute({ start: { by: 'market', amount: null, cap: 1.3 } });
  const held = keptReview(
    1,
    aReview([{ term: 'small jar weights', clicks: 30, orders: 5, spend: 12, sales: 100 }], {
      routes: [route],
    }),
  );
  const open = () => answerTerms(held, 'open', { settings }).open;
  const bidWith = (suggested: { key: string; bid: number }[]) => {
    const { planned } = answerTerms(held, 'plan', { step: 'harvest', settings, handled: [], suggested });
    return planned.map(({ told }) => told.to);
  };
  const [{ key, target }] = open();
  expect(target).toMatchObject({ adGroupId: EXACT, expression: 'small jar weights' });
  const unasked = bidWith([]);
  expect(bidWith([{ key, bid: 370_000 }])).toEqual(['0.37']);
  expect(bidWith([{ key, bid: 330_000 }])).toEqual(['0.33']);
  expect(open()).toHaveLength(1);
  // A market that does not answer suggests nothing: what it said before is not taken for what it says now.
  expect(bidWith([])).toEqual(unasked);
  expect(unasked).toHaveLength(1);
  expect(unasked).not.toEqual(['0.33']);
});
