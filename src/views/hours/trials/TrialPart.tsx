import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Measured, TrialWeeks } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { TrialInfo } from '../../../contract/trials';
import { dayOfWeek, heldThrough, isOnWeek } from '../../../core/trials';
import type { TrialEffect } from '../../../core/trials';
import { counted, DASH, formatCount, formatDay, formatShare } from '../../../core/units';
import { api } from '../../shared/api';
import { trialWords } from '../../shared/hours/trialWords';
import { Ask, Facts } from '../../shared/kit';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';

/** One trial: its weeks, what they tell, what is watched, and what can be done with it. */
export function TrialPart({ account, trial }: { account: AccountInfo; trial: TrialInfo }) {
  const tell = useTell();
  const undo = useUndo(account.id);
  const client = useQueryClient();
  const [isStopping, setStopping] = useState(false);
  const { mutate, isPending } = useMutation({
    mutationFn: (does: 'stop' | 'keep') => undo.during(api.actOnTrial(account.id, trial.id, does)),
    onSuccess: ({ staged }, does) => {
      if (does === 'stop') tell(`“${trial.name}” is stopped, and its changes go off.`);
      else if (staged.length > 0)
        undo.did({
          words: `${counted(staged.length, 'change')} of “${trial.name}” in the tray`,
          undoing: { kind: 'take-out', ids: staged },
        });
      else tell('They wait in the tray already.');
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
    onSettled: () =>
      client.invalidateQueries({
        predicate: ({ queryKey }) =>
          ['trials', 'schedules', 'changes', 'bales'].includes(String(queryKey[0])),
      }),
  });
  const { estimate, watched, bounds, weeks, firstDay } = trial;
  const move = (share: number | null) => (share === null ? 'not known' : signed(share));
  return (
    <section aria-label={`Trial ${trial.name}`} className="trial">
      <h2 className="serif part">
        {trial.name}{' '}
        <span className="faint small">
          {formatCount(trial.campaigns.length)} {trial.campaigns.length === 1 ? 'campaign' : 'campaigns'},{' '}
          {formatCount(trial.changes)} {trial.changes === 1 ? 'change' : 'changes'} from {formatDay(firstDay)}
        </span>
      </h2>
      <p className="sentence">{trialWords(trial)}</p>
      <p className="note">{trial.what.join('; ')}.</p>
      <Measured>
        {(width) => (
          <TrialWeeks
            width={width}
            caption={`Weeks of the trial ${trial.name}, and the effect on sales as it was known after each`}
            weeks={Array.from({ length: weeks }, (_, week) => ({
              label: formatDay(dayOfWeek(firstDay, week)),
              // What is to come goes by the pattern; what has been, by what really stood.
              isOn:
                (dayOfWeek(firstDay, week) <= account.today
                  ? heldThrough(trial.switches, firstDay, week)
                  : null) ?? isOnWeek(week),
              isKnown: trial.settled.includes(week),
            }))}
            grown={trial.grown}
          />
        )}
      </Measured>
      <Facts aria-label="What weeks that are on bring, against weeks that are off" sx={{ maxWidth: 420 }}>
        <TableBody>
          {MEASURES.map(([measure, label]) => (
            <TableRow key={measure}>
              <TableCell>{label}</TableCell>
              <TableCell className="figure">{effectWords(estimate.effects[measure])}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      <p className="note">
        Weeks on against weeks off, of its campaigns with those that advertise the same products, less what
        all others did, with 80 % intervals; orders of {formatCount(trial.settled.length)} of{' '}
        {formatCount(weeks)} weeks are in. Beside it: all sales of its products {move(watched.sales)} (it
        stops at −{formatShare(bounds.sales, 0)}), numbers of organic places {move(watched.rank)} (it stops at
        +{formatShare(bounds.rank, 0)}).
      </p>
      <div className="bar">
        {trial.state === 'running' ? (
          <Button data-may="send" disabled={isPending} onClick={() => setStopping(true)}>
            Stop …
          </Button>
        ) : (
          !trial.isOn && (
            <Button data-may="send" disabled={isPending} onClick={() => mutate('keep')}>
              Put its changes to the tray
            </Button>
          )
        )}
      </div>
      {isStopping && (
        <Ask
          title={`Stop “${trial.name}”?`}
          does="Stop it"
          onDone={(isWanted) => {
            setStopping(false);
            if (isWanted) mutate('stop');
          }}
        >
          <p className="line">
            Its changes go off, and no more weeks count. What its weeks have told so far stays; a trial that
            is stopped because it looks good, or bad, tells less than it seems to.
          </p>
        </Ask>
      )}
    </section>
  );
}

const MEASURES = [
  ['sales', 'Ad sales'],
  ['spend', 'Spend'],
  ['acos', 'ACOS'],
  ['orders', 'Orders'],
] as const;

const signed = (share: number) => `${share < 0 ? '−' : '+'}${formatShare(Math.abs(share))}`;
const effectWords = (effect: TrialEffect | null) =>
  effect === null ? DASH : `${signed(effect.effect)} (${signed(effect.low)} to ${signed(effect.high)})`;
