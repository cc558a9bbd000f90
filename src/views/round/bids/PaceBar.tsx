import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { PACES } from '../../../core/bids';
import type { BidChoices } from '../../../core/bids';
import { formatShare } from '../../../core/units';
import { priceWords } from '../../shared/priceWords';
import type { BidWork } from './useBidWork';
import { Check, Choice, MoneyField, NumberField, ShareField } from '../../shared/kit';
import type { Option } from '../../shared/kit';

const PACE_WORDS: Record<BidChoices['pace'], string> = {
  careful: 'careful',
  steady: 'steady',
  brisk: 'brisk',
  'to wanted': 'straight to wanted, once',
  own: 'own numbers',
};
const AIM_WORDS: Record<BidChoices['aim'], string> = {
  grow: 'most sales at the target ACOS',
  'keep profit': 'no click above what it earns',
  strict: 'stay under the target ACOS',
};

const AIM_SHORT = { 'keep profit': 'keep profit', strict: 'strict' };
const PACE_NAMES = [...Object.keys(PACES), 'own'] as BidChoices['pace'][];

/** How far bids may move in a round, toward what, and within which limits. */
export function PaceBar({ account, work }: { account: AccountInfo | undefined; work: BidWork }) {
  const { choices, setChoices, lookAhead, settings } = work;
  const [isOpen, setOpen] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  const { down, up } = settings.step;
  const currency = account?.currency ?? '';
  const orNull = (micros: number) => (micros > 0 ? micros : null);
  return (
    <>
      <Choice
        label="Pace"
        value={choices.pace}
        onChange={(pace) => setChoices({ pace: pace as BidChoices['pace'] })}
        onConsider={(pace) => lookAhead({ pace: pace as BidChoices['pace'] })}
      >
        {PACE_NAMES.map((pace): Option => [pace, PACE_WORDS[pace]])}
      </Choice>
      <Button ref={anchor} onClick={() => setOpen(true)} title="How bids move">
        −{formatShare(down, 0).replace(/\s?%/, '')} / +{formatShare(up, 0)}
        {choices.aim === 'grow' ? '' : ` · ${AIM_SHORT[choices.aim]}`}
      </Button>
      <Popover open={isOpen} anchorEl={anchor.current} onClose={() => setOpen(false)}>
        <div className="popForm" role="group" aria-label="How bids move">
          <Choice
            label="Aim"
            isLabelled
            value={choices.aim}
            onChange={(aim) => setChoices({ aim: aim as BidChoices['aim'] })}
          >
            {Object.entries(AIM_WORDS)}
          </Choice>
          <ShareField
            label="Down by at most"
            after="a round, at your own pace"
            share={choices.own.down}
            least={0.01}
            most={0.95}
            step={0.05}
            onShare={(share) => setChoices({ pace: 'own', own: { ...choices.own, down: share } })}
          />
          <ShareField
            label="Up by at most"
            after="a round, at your own pace"
            share={choices.own.up}
            least={0.01}
            step={0.05}
            onShare={(share) => setChoices({ pace: 'own', own: { ...choices.own, up: share } })}
          />
          <MoneyField
            label="No bid below"
            after="empty: the market’s least bid"
            micros={choices.floor}
            currency={currency}
            step={settings.limits.bidStep}
            onMicros={(floor) => setChoices({ floor: orNull(floor) })}
            onNone={() => setChoices({ floor: null })}
          />
          <MoneyField
            label="No bid above"
            after="empty: no cap"
            micros={choices.cap}
            currency={currency}
            step={settings.limits.bidStep}
            onMicros={(cap) => setChoices({ cap: orNull(cap) })}
            onNone={() => setChoices({ cap: null })}
          />
          <Choice
            label="Evidence at least"
            isLabelled
            value={choices.leastEvidence}
            onChange={(next) => setChoices({ leastEvidence: next as BidChoices['leastEvidence'] })}
          >
            {['thin', 'fair', 'strong']}
          </Choice>
          <NumberField
            label="A changed bid waits for"
            unit="days"
            after="settled, or until the clicks of an order came"
            value={choices.holdDays}
            min={0}
            max={28}
            step={1}
            onChange={(days) => setChoices({ holdDays: Math.round(days) })}
          />
          <Check isOn={choices.secondSteps} onChange={(secondSteps) => setChoices({ secondSteps })}>
            A further step of the same move does not wait for them
          </Check>
          <NumberField
            label="Proven with"
            unit="orders"
            after="a raise without is a test"
            value={choices.provenOrders}
            min={1}
            max={100}
            step={1}
            onChange={(orders) => setChoices({ provenOrders: Math.round(orders) })}
          />
          <MoneyField
            label="Tests cost at most"
            after={`more a month; empty: ${formatShare(settings.testing.share)} of what is spent`}
            micros={choices.testCap}
            currency={currency}
            step={1_000_000}
            onMicros={(testCap) => setChoices({ testCap })}
            onNone={() => setChoices({ testCap: null })}
          />
          {work.plan && <p className="note">{priceWords(work.plan.price)}</p>}
          <p className="note">
            A bid moves toward what its clicks are worth, by at most one step a round. “Straight to wanted” is
            for the first round on an account: read the summary before you accept.
          </p>
        </div>
      </Popover>
    </>
  );
}
