import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { PACES } from '../../../core/bids';
import type { BidChoices } from '../../../core/bids';
import { formatShare, MICROS_PER_UNIT, toMicros } from '../../../core/units';
import { NumberField } from '../../shared/NumberField';
import type { BidWork } from './useBidWork';

const PACE_WORDS: Record<BidChoices['pace'], string> = {
  careful: 'careful',
  steady: 'steady',
  brisk: 'brisk',
  'to wanted': 'straight to wanted, once',
  own: 'own numbers',
};
const AIM_WORDS: Record<BidChoices['aim'], string> = {
  grow: 'most sales at the target',
  'keep profit': 'no click above what it earns',
  strict: 'stay under the target',
};

/** How far bids may move in a round, toward what, and within which limits. */
export function PaceBar({ account, work }: { account: AccountInfo | undefined; work: BidWork }) {
  const { choices, setChoices, settings } = work;
  const [isOpen, setOpen] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  const { down, up } = settings.step;
  const money = (micros: number | null) => (micros ?? 0) / MICROS_PER_UNIT;
  const orNull = (value: number) => (value > 0 ? toMicros(value) : null);
  return (
    <>
      <label className="faint">
        Pace{' '}
        <select
          aria-label="Pace"
          style={{ maxWidth: 110 }}
          value={choices.pace}
          onChange={(event) => setChoices({ pace: event.target.value as BidChoices['pace'] })}
        >
          {Object.keys({ ...PACES, own: 0 }).map((pace) => (
            <option key={pace} value={pace}>
              {PACE_WORDS[pace as BidChoices['pace']]}
            </option>
          ))}
        </select>
      </label>
      <Button ref={anchor} onClick={() => setOpen(true)} sx={{ padding: '0 6px' }}>
        −{formatShare(down, 0)} / +{formatShare(up, 0)}
        {choices.aim === 'grow' ? '' : `, ${AIM_WORDS[choices.aim]}`}
      </Button>
      <Popover open={isOpen} anchorEl={anchor.current} onClose={() => setOpen(false)}>
        <div
          style={{ display: 'grid', gap: 10, padding: 16, maxWidth: 380 }}
          role="group"
          aria-label="How bids move"
        >
          <label>
            Aim{' '}
            <select
              aria-label="Aim"
              value={choices.aim}
              onChange={(event) => setChoices({ aim: event.target.value as BidChoices['aim'] })}
            >
              {Object.entries(AIM_WORDS).map(([aim, words]) => (
                <option key={aim} value={aim}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <NumberField
            label="% down at most, own pace"
            value={choices.own.down * 100}
            min={1}
            step={5}
            onChange={(value) =>
              setChoices({ pace: 'own', own: { ...choices.own, down: Math.min(0.95, value / 100) } })
            }
          />
          <NumberField
            label="% up at most, own pace"
            value={choices.own.up * 100}
            min={1}
            step={5}
            onChange={(value) => setChoices({ pace: 'own', own: { ...choices.own, up: value / 100 } })}
          />
          <NumberField
            label={`${account?.currency ?? ''} floor of bids; 0: the market’s`}
            value={money(choices.floor)}
            min={0}
            step={0.01}
            onChange={(value) => setChoices({ floor: orNull(value) })}
          />
          <NumberField
            label={`${account?.currency ?? ''} cap of bids; 0: none`}
            value={money(choices.cap)}
            min={0}
            step={0.1}
            onChange={(value) => setChoices({ cap: orNull(value) })}
          />
          <label>
            Evidence at least{' '}
            <select
              aria-label="Evidence at least"
              value={choices.leastEvidence}
              onChange={(event) =>
                setChoices({ leastEvidence: event.target.value as BidChoices['leastEvidence'] })
              }
            >
              <option value="thin">thin</option>
              <option value="fair">fair</option>
              <option value="strong">strong</option>
            </select>
          </label>
          <NumberField
            label="days a changed bid is left alone"
            value={choices.coolDown}
            min={0}
            step={1}
            onChange={(coolDown) => setChoices({ coolDown: Math.round(coolDown) })}
          />
          <p className="faint" style={{ margin: 0, fontSize: 12.5 }}>
            A bid moves toward what its clicks are worth, by at most one step a round. “Straight to wanted” is
            for the first round on an account: look at the summary before you accept.
          </p>
        </div>
      </Popover>
    </>
  );
}
