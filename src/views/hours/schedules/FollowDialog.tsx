import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { NamedWeek, SchedulesAnswer, ScheduleRow } from '../../../contract/schedules';
import { readWeek, weekWords } from '../../../core/schedules';
import { counted, formatCount, formatMoney } from '../../../core/units';
import { NewTrial } from '../../shared/hours/NewTrial';
import { Check, TextBox } from '../../shared/kit';
import { useCampaignNames } from './useCampaignNames';
import { useFollow } from './useFollow';
import { WeekPriceLine } from './WeekPriceLine';
import { TRY_BY_WEEKS } from '../../shared/words';

interface FollowDialogProps {
  account: AccountInfo;
  schedules: SchedulesAnswer;
  week: NamedWeek;
  onDone: () => void;
  onTrials: () => void;
}

const MOST_SHOWN = 200;

/** Which campaigns are to follow a week: for good, or on trial. */
export function FollowDialog({ account, schedules, week, onDone, onTrials }: FollowDialogProps) {
  const { rows, proposal, running } = schedules;
  const nameOf = useCampaignNames(account);
  const { follow, isBusy } = useFollow(account);
  const open = rows.filter(({ left }) => left !== 'not running' && left !== 'in a trial');
  const [chosen, setChosen] = useState(
    () => new Set(open.filter(({ isFirst }) => isFirst).map(({ campaignId }) => campaignId)),
  );
  const [part, setPart] = useState('');
  const [isTrying, setTrying] = useState(false);
  const shown = open
    .filter(({ campaignId }) => nameOf(campaignId).toLowerCase().includes(part.trim().toLowerCase()))
    .sort((a, b) => b.orders - a.orders);
  const campaigns = open.map(({ campaignId }) => campaignId).filter((id) => chosen.has(id));
  // Only the week that is proposed is made to be raised from lowered base bids.
  const bases = week.week === proposal.week ? proposal.bases : 1;
  const others = running.filter(({ campaignId, name }) => chosen.has(campaignId) && name !== week.name);
  const products = new Set(open.flatMap((row) => (chosen.has(row.campaignId) ? row.products : [])));
  const siblings = open
    .filter((row) => !chosen.has(row.campaignId) && row.products.some((id) => products.has(id)))
    .map(({ campaignId }) => campaignId);
  const heldCount = open.filter(({ campaignId, isHeld }) => isHeld && chosen.has(campaignId)).length;
  const toggle = (ids: readonly number[], isOn: boolean) => {
    const next = new Set(chosen);
    for (const id of ids)
      if (isOn) next.add(id);
      else next.delete(id);
    setChosen(next);
  };
  if (isTrying)
    return (
      <NewTrial
        account={account}
        name={week.name}
        of={{ does: 'follow', campaigns, follow: week, bases }}
        campaigns={campaigns}
        onDone={(isBegun) => {
          setTrying(false);
          if (!isBegun) return;
          onDone();
          onTrials();
        }}
      />
    );
  return (
    <Dialog
      open
      maxWidth="md"
      fullWidth
      transitionDuration={0}
      onClose={onDone}
      aria-labelledby="follow-title"
    >
      <DialogTitle id="follow-title">Who is to follow “{week.name}”?</DialogTitle>
      <DialogContent>
        <p className="note">
          {weekWords(readWeek(week.week)!)}. Chosen are those to try first: the most orders, and hours like
          the rest. The others can follow once these have shown what it does.
        </p>
        <div className="bar">
          <TextBox
            aria-label="Find"
            value={part}
            letters={24}
            placeholder="A part of a name …"
            onChange={(event) => setPart(event.target.value)}
          />
          <span className="room" />
          <Button
            onClick={() =>
              toggle(
                shown.map(({ campaignId }) => campaignId),
                true,
              )
            }
          >
            All shown
          </Button>
          <Button onClick={() => setChosen(new Set())}>None</Button>
        </div>
        <div className="chooseList" role="group" aria-label="Campaigns">
          {shown.slice(0, MOST_SHOWN).map((row) => (
            <Check
              key={row.campaignId}
              isOn={chosen.has(row.campaignId)}
              onChange={(isOn) => toggle([row.campaignId], isOn)}
            >
              {lineOf(row, nameOf(row.campaignId), account.currency)}
            </Check>
          ))}
        </div>
        {shown.length > MOST_SHOWN && (
          <p className="note">… and {formatCount(shown.length - MOST_SHOWN)} more: find them by name.</p>
        )}
        {campaigns.length > 0 && (
          <WeekPriceLine account={account} schedules={schedules} week={week.week} campaigns={campaigns} />
        )}
        {heldCount > 0 && (
          <p className="note warning">
            The budget of {formatCount(heldCount)} leaves no room for raised hours: lowered bids save, raised
            ones win little. They are not counted here; give them money first.
          </p>
        )}
        {siblings.length > 0 && (
          <p className="note">
            {formatCount(siblings.length)} other campaigns advertise the same products: what these lower,
            those take at their old bids.{' '}
            <Button variant="link" onClick={() => toggle(siblings, true)}>
              Choose them too
            </Button>
          </p>
        )}
        {others.length > 0 && (
          <p className="note warning">
            {formatCount(others.length)} of them follow another schedule now; that ends first, in the same
            bale.
          </p>
        )}
        {bases < 1 && (
          <p className="note">
            Schedules of this market can only raise bids: base bids go down to{' '}
            {formatCount(Math.round(100 * bases))} % of what they are.
          </p>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Not now</Button>
        <Button data-may="send" disabled={campaigns.length === 0} onClick={() => setTrying(true)}>
          {TRY_BY_WEEKS}
        </Button>
        <Button
          data-may="decide"
          variant="contained"
          disabled={campaigns.length === 0 || isBusy}
          onClick={() => {
            follow({ campaigns, follow: week, bases });
            onDone();
          }}
        >
          Put {formatCount(campaigns.length)} to the tray
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** A campaign in the list: its name, what it sells, what it follows. */
const lineOf = ({ orders, now, running, isFirst, isHeld }: ScheduleRow, name: string, currency: string) => (
  <>
    {name}{' '}
    <span className="faint small">
      {isFirst && 'try first · '}
      {counted(orders, 'order')} · {formatMoney(now.sales)} {currency} of sales a month
      {isHeld && ' · no room in its budget'}
      {running && ` · follows “${running.name}”`}
    </span>
  </>
);
