import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { NewTrial } from '../hours/NewTrial';
import type { TrayState } from './useTray';
import { TRY_BY_WEEKS } from '../words';

/** What waits in the tray can be tried in some weeks and not in others, before it stands for good. */
export function TryByWeeks({ account, tray }: { account: AccountInfo; tray: TrayState }) {
  const [isAsking, setAsking] = useState(false);
  const campaigns = [...new Set(tray.changes.flatMap(({ campaignId }) => campaignId ?? []))];
  if (campaigns.length === 0) return null;
  return (
    <>
      <Button
        onClick={() => setAsking(true)}
        title="On in some weeks, off in the others, to know what they do"
      >
        {TRY_BY_WEEKS}
      </Button>
      {isAsking && (
        <NewTrial
          account={account}
          name={`Tray of ${account.today}`}
          of={{ does: 'staged', ids: tray.changes.map(({ id }) => id) }}
          campaigns={campaigns}
          onDone={() => setAsking(false)}
        />
      )}
    </>
  );
}
