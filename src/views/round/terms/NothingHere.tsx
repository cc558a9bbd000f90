import type { AccountInfo } from '../../../contract/api';
import { placeLink } from '../../shared/frame/places';
import type { RoundState } from '../useRoundState';

/** Why a step shows no rows, and what can be done. */
export function NothingHere({
  state,
  account,
  hasData,
}: {
  state: RoundState;
  account: AccountInfo | undefined;
  hasData: boolean;
}) {
  if (!hasData)
    return (
      <p>
        There are no search terms in this window.{' '}
        {account?.lastDay ? (
          <>
            The data reach from {account.firstDay} to {account.lastDay}: choose another window with w.
          </>
        ) : (
          <>
            <a href={placeLink('setup', account?.id)}>Import a search-term report</a> to begin.
          </>
        )}
      </p>
    );
  if (state.conditions.length > 0)
    return (
      <p>
        No row meets all {state.conditions.length} conditions.{' '}
        <button onClick={() => state.setConditions([])}>Clear them</button>
      </p>
    );
  if (state.show === 'aside') return <p>Nothing is put aside in this step.</p>;
  return (
    <p>
      Nothing is left to decide at these thresholds. Loosen them above, look at{' '}
      <button onClick={() => state.setShow('all')}>all terms</button>, or go on to the next step.
    </p>
  );
}
