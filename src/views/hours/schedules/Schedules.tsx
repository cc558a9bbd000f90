import type { AccountInfo } from '../../../contract/api';
import type { SchedulesAnswer } from '../../../contract/schedules';
import { formatShare } from '../../../core/units';
import { useSchedules } from '../../shared/hours/useSchedules';
import { Loading, Trouble } from '../../shared/kit';
import { Followed } from './Followed';
import { WeekBench } from './WeekBench';
import { ADDING_HOURS } from '../../shared/words';

interface SchedulesProps {
  account: AccountInfo;
  onTrials: () => void;
}

/** Schedules by name: what the hours propose, a week to paint, and which campaigns follow what. */
export function Schedules({ account, onTrials }: SchedulesProps) {
  const { data, error } = useSchedules(account);
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading>{ADDING_HOURS}</Loading>;
  return (
    <>
      <p className="sentence">{sentenceOf(data)}</p>
      <Followed account={account} schedules={data} />
      <WeekBench account={account} schedules={data} onTrials={onTrials} />
    </>
  );
}

function sentenceOf({ offered, worth, proposal, rows, window }: SchedulesAnswer): string {
  if (offered === null)
    return 'This account is fed by files: weeks can be painted and kept here, and no market follows them.';
  if (offered === false)
    return 'This account’s market has no schedules by hour: weeks can be painted and kept, and nothing follows them.';
  if (window === null) return 'No hours are known yet: a week can be painted, what it does cannot be told.';
  if (!worth.isWorthIt) return `No pattern worth a schedule: at most ${formatShare(worth.gain)}.`;
  const waiting = rows.filter(({ left }) => left === null).length;
  const held = rows.filter(({ left }) => left === 'held by money').length;
  return `The hours propose ${proposal.blocks} blocks that gain about ${formatShare(proposal.gain)}, single hours ${formatShare(proposal.wholeGain)}${
    waiting > 0
      ? `; ${waiting} ${waiting === 1 ? 'campaign follows' : 'campaigns follow'} nothing like it`
      : ''
  }${held > 0 ? `; ${held} have no room in their budget` : ''}.`;
}
