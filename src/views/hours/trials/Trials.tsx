import type { AccountInfo } from '../../../contract/api';
import { pageLink } from '../../shared/frame/pages';
import { useTrials } from '../../shared/hours/useTrials';
import { Empty, Loading, PlaceLink, Trouble } from '../../shared/kit';
import { TrialPart } from './TrialPart';

/** Trials by weeks: what runs, what its weeks tell so far, and what came of those that are over. */
export function Trials({ account }: { account: AccountInfo }) {
  const { data, error } = useTrials(account);
  if (error) return <Trouble error={error} />;
  if (!data) return <Loading>Reading the trials …</Loading>;
  if (data.length === 0)
    return (
      <Empty
        why="A trial has changes on in some weeks and off in others: the one way to know what they do, with an interval. Begin one where a schedule is given to campaigns, or from the tray."
        next={
          <PlaceLink href={`${pageLink('hours', account.id)}&part=schedules`}>
            Choose a schedule to try
          </PlaceLink>
        }
      >
        No trial has been begun yet.
      </Empty>
    );
  return (
    <>
      {data.map((trial) => (
        <TrialPart key={trial.id} account={account} trial={trial} />
      ))}
    </>
  );
}
