import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { AccountInfo } from '../../../contract/api';
import type { BidStepName } from '../../../contract/review';
import { formatCount, formatMoney } from '../../../core/units';
import type { Show } from '../../../plans/terms';
import type { RoundState } from '../useRoundState';
import { PaceBar } from './PaceBar';
import type { BidWork } from './useBidWork';

interface BidHeadProps {
  account: AccountInfo | undefined;
  state: RoundState;
  work: BidWork;
  onAccept: () => void;
}

/** What the step comes to in one sentence, how far bids may move, and which rows are shown. */
export function BidHead({ account, state, work, onAccept }: BidHeadProps) {
  const { arranged, step, rows, shown, decisions } = work;
  const summary = arranged?.steps.find((one) => one.step === step);
  const selected = rows.selection.size;
  return (
    <div style={{ padding: '10px 16px 6px' }}>
      <p className="serif" style={{ margin: '0 0 6px', fontSize: 17 }}>
        {summary
          ? SENTENCES[step](summary.left, summary.money, account?.currency ?? '')
          : 'Working out what every target is worth …'}
      </p>
      <div style={{ display: 'flex', alignItems: 'center', gap: '6px 12px', flexWrap: 'wrap' }}>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={state.show}
          onChange={(_, next: Show | null) => next && state.setShow(next)}
          aria-label="Rows shown"
        >
          <ToggleButton value="proposed" sx={TOGGLE}>
            Proposed {formatCount(summary?.left ?? 0)}
          </ToggleButton>
          <ToggleButton value="all" sx={TOGGLE}>
            All targets {formatCount(arranged?.all ?? 0)}
          </ToggleButton>
          <ToggleButton value="aside" sx={TOGGLE}>
            Put aside {formatCount(decisions.asideIds.length)}
          </ToggleButton>
        </ToggleButtonGroup>
        <PaceBar account={account} work={work} />
        <span style={{ flex: 1 }} />
        {shown.length > 0 && state.show === 'proposed' && (
          <Button variant="outlined" onClick={onAccept} title="a">
            Accept{' '}
            {selected > 0 ? `the ${formatCount(selected)} selected` : `all ${formatCount(shown.length)}`} …
          </Button>
        )}
      </div>
    </div>
  );
}

const TOGGLE = { padding: '1px 8px', fontSize: 12.5, textTransform: 'none' } as const;

const count = (left: number) => (left === 1 ? 'One target' : `${formatCount(left)} targets`);

const SENTENCES: Record<BidStepName, (left: number, money: number, currency: string) => string> = {
  dead: (left, money, currency) =>
    left === 0
      ? 'Dead spend: nothing that had its chance and sold nothing is left.'
      : `${count(left)} ${left === 1 ? 'takes' : 'take'} ${formatMoney(money)} ${currency} a month, sold nothing, and will hardly ever pay.`,
  over: (left, money, currency) =>
    left === 0
      ? 'Overpaying: no bid above what its clicks are worth is left.'
      : `${count(left)} ${left === 1 ? 'costs' : 'cost'} ${formatMoney(money)} ${currency} a month above the target.`,
  grow: (left, money, currency) =>
    left === 0
      ? 'Room to grow: no target is left whose next click would still pay.'
      : `${count(left)} could bid more; about ${formatMoney(money)} ${currency} of sales a month are to be won.`,
};
