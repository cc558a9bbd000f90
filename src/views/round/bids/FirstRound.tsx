import Button from '@mui/material/Button';
import type { BidWork } from './useBidWork';

/** Proposes, while no bid of the account was ever changed from here, to go straight to the wanted bids this once: seen before it is accepted. */
export function FirstRound({ work }: { work: BidWork }) {
  const { plan, choices, setChoices, hasData } = work;
  const isFirst = plan?.daysAgo.every((days) => Number.isNaN(days)) ?? false;
  if (!isFirst || !hasData) return null;
  const isOnce = choices.pace === 'to wanted';
  return (
    <p className="note">
      {isOnce
        ? 'Straight to the wanted bids, this once: the summary tells what that does before anything is accepted. '
        : 'No bid was ever changed from here. '}
      <Button variant="link" onClick={() => setChoices({ pace: isOnce ? 'steady' : 'to wanted' })}>
        {isOnce ? 'Go by steps instead' : 'See what going straight to the wanted bids would do'}
      </Button>
    </p>
  );
}
