import Button from '@mui/material/Button';
import { formatCount, formatMoney } from '../../../core/units';
import type { BidStepSummary, TestingSummary } from '../../../plans/bids';
import type { BidWork } from './useBidWork';

/** What the tests that are proposed come to, and how much of the cap is taken. */
export function testingSentence({ left, cost, cap, used }: TestingSummary, currency: string): string {
  const taken = `${formatMoney(used)} of ${formatMoney(cap)} for tests is taken`;
  return left === 0
    ? `No test is proposed; ${taken} ${currency} a month.`
    : `${left === 1 ? 'One test costs' : `${formatCount(left)} tests cost`} at most ${formatMoney(cost)} ${currency} more a month; ${taken}.`;
}

/** Says what goes on with a move before anything new is known, and leaves it out or brings it back in one act. */
export function SecondSteps({ summary, work }: { summary: BidStepSummary | undefined; work: BidWork }) {
  if (!summary) return null;
  const { proposed, leftOut } = summary.secondSteps;
  if (proposed === 0 && leftOut === 0) return null;
  const turn = (secondSteps: boolean) => work.setChoices({ secondSteps });
  return (
    <p className="note">
      {proposed > 0 ? (
        <>
          {formatCount(proposed)} of these go on with a move before anything new is known.{' '}
          <Button variant="link" onClick={() => turn(false)}>
            Leave them out
          </Button>
        </>
      ) : (
        <>
          {formatCount(leftOut)} second {leftOut === 1 ? 'step is' : 'steps are'} left out until something new
          is known.{' '}
          <Button variant="link" onClick={() => turn(true)}>
            Bring them back
          </Button>
        </>
      )}
    </p>
  );
}
