import type { AccountInfo } from '../../../contract/api';
import { pageLink } from '../../shared/frame/pages';
import { trialWords } from '../../shared/hours/trialWords';
import { useTrials } from '../../shared/hours/useTrials';
import { PlaceLink } from '../../shared/kit';

/** What trials by weeks have come to: the one measure that does not compare before and after. */
export function TrialVerdicts({ account }: { account: AccountInfo }) {
  const { data } = useTrials(account);
  if (!data || data.length === 0) return null;
  return (
    <>
      <h2 className="pageTitle">Trials by weeks</h2>
      <ul aria-label="Trials by weeks">
        {data.map((trial) => (
          <li key={trial.id}>
            <strong>{trial.name}</strong>: {trialWords(trial)}
          </li>
        ))}
      </ul>
      <p className="note">
        <PlaceLink href={`${pageLink('hours', account.id)}&part=trials`}>Their weeks</PlaceLink>
      </p>
    </>
  );
}
