import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { LossRequest } from '../../../contract/aside';
import { formatDay } from '../../../core/units';
import { api } from '../api';
import { useTell } from '../useTell';
import { LossDialog } from './LossDialog';

interface AcceptLossProps {
  account: AccountInfo;
  subject: string;
  /** What loses, in words: "this term". */
  what: string;
  /** Until when its loss is accepted already; null: it is not. */
  until: string | null;
}

/** What is kept of losses on the page, and is asked for anew when one is accepted or ended. */
const KEPT = ['losses', 'aside', 'rank', 'notes'];

/** Accepts the loss of something for a time, or ends that. */
export function AcceptLoss({ account, subject, what, until }: AcceptLossProps) {
  const [isAsking, setIsAsking] = useState(false);
  const client = useQueryClient();
  const tell = useTell();
  const change = async (request: Omit<LossRequest, 'account' | 'subjects'>, said: string) => {
    try {
      await api.changeLosses({ account: account.id, subjects: [subject], ...request });
      for (const key of KEPT) await client.invalidateQueries({ queryKey: [key] });
      tell(said);
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
  };
  return (
    <>
      {until === null ? (
        <Button data-may="decide" variant="outlined" onClick={() => setIsAsking(true)}>
          Accept its loss …
        </Button>
      ) : (
        <>
          <span>Loss accepted until {formatDay(until)}.</span>
          <Button
            data-may="decide"
            onClick={() =>
              void change({ does: 'end' }, 'The loss is accepted no longer; its bids are proposed again.')
            }
          >
            End it
          </Button>
        </>
      )}
      {isAsking && (
        <LossDialog
          what={what}
          today={account.today}
          currency={account.currency}
          onDone={(loss) => {
            setIsAsking(false);
            if (loss)
              void change(
                { does: 'accept', ...loss },
                `The loss is accepted until ${formatDay(loss.until)}; its bids stay as they are.`,
              );
          }}
        />
      )}
    </>
  );
}
