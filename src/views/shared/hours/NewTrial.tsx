import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { TrialNeeds, TrialOf } from '../../../contract/trials';
import { shownBeforeAfter, shownIn, weeksNeeded } from '../../../core/trials';
import { formatCount, formatShare } from '../../../core/units';
import { api } from '../api';
import { Ask, NumberField } from '../kit';
import { useTell } from '../useTell';

interface NewTrialProps {
  account: AccountInfo;
  name: string;
  of: TrialOf;
  campaigns: readonly number[];
  onDone: (isBegun: boolean) => void;
}

const [LEAST, MOST] = [4, 52];
const USUAL_WEEKS = 8;
/** Effects of which it is told how long they take to show, shares. */
const EFFECTS = [0.2, 0.1];

/** What a trial by weeks will take, before it is begun. */
export function NewTrial({ account, name, of, campaigns, onDone }: NewTrialProps) {
  const tell = useTell();
  const client = useQueryClient();
  const [weeks, setWeeks] = useState(USUAL_WEEKS);
  const [bounds, setBounds] = useState({ sales: 0.2, rank: 0.5 });
  const { data: needs } = useQuery({
    queryKey: ['trial-needs', account.id, account.revision, campaigns],
    queryFn: () => api.trialNeeds(account.id, campaigns),
  });
  const { mutate, isPending } = useMutation({
    mutationFn: () => api.startTrial({ account: account.id, name, of, weeks, bounds }),
    onSuccess: ({ trouble }) => {
      tell(trouble || `The trial “${name}” has begun: it is on from today, and switches by itself.`, {
        kind: trouble ? 'warning' : undefined,
      });
      void client.invalidateQueries({
        predicate: ({ queryKey }) =>
          ['trials', 'schedules', 'changes', 'bales'].includes(String(queryKey[0])),
      });
      onDone(true);
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
  });
  return (
    <Ask
      title={`Try “${name}” by weeks?`}
      does="Begin, and send"
      isOff={isPending || !needs || needs.orders === 0}
      onDone={(isWanted) => (isWanted ? mutate() : onDone(false))}
    >
      <p className="line">
        It is on in some weeks and off in the others, in an order in which trends fall out: on, off, off, on,
        off, on, on, off. Mowing switches it by itself with each sync.
      </p>
      {needs && <Needs needs={needs} weeks={weeks} />}
      <div className="bar">
        <NumberField label="Weeks" value={weeks} min={LEAST} max={MOST} step={1} onChange={setWeeks} />
        <NumberField
          label="Stop when all sales fall by"
          value={100 * bounds.sales}
          min={1}
          max={100}
          step={5}
          unit="%"
          title="All sales of its products in its last two weeks, against the four before it, less what the other products did"
          onChange={(next) => setBounds({ ...bounds, sales: next / 100 })}
        />
        <NumberField
          label="or organic places by"
          value={100 * bounds.rank}
          min={1}
          max={1000}
          step={10}
          unit="%"
          title="The number of an organic place: 50 % is from place 10 to 15"
          onChange={(next) => setBounds({ ...bounds, rank: next / 100 })}
        />
      </div>
      <p className="note">
        Leave these campaigns’ other settings alone meanwhile, or what you change is taken for what the trial
        does.
      </p>
    </Ask>
  );
}

/** What so many orders can show. */
function Needs({ needs, weeks }: { needs: TrialNeeds; weeks: number }) {
  const { orders, untouched } = needs;
  if (orders === 0)
    return <p className="line">Nothing sold in these campaigns: a trial would tell nothing.</p>;
  const words = EFFECTS.map((effect) => {
    const needed = weeksNeeded(needs, effect);
    return `±${formatShare(effect, 0)} takes ${needed > 3 * MOST ? 'years' : `${formatCount(needed)} weeks`}`;
  });
  return (
    <p className="line">
      With all campaigns of the same products they sell {formatCount(Math.round(orders))} orders a week
      {untouched > 0 && `, the others ${formatCount(Math.round(untouched))}`}. To know {words.join('; ')}. In{' '}
      {formatCount(weeks)} weeks you will know ±{formatShare(shownIn(needs, weeks), 0)}; before and after,
      four weeks each, only show effects above {formatShare(shownBeforeAfter(needs, 4), 0)}.
    </p>
  );
}
