import { useQueryClient } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { lineOf } from '../../../core/build';
import { counted, formatCount, formatMoney } from '../../../core/units';
import { Ask, Choice, MoneyField, PlaceLink } from '../../shared/kit';
import { pageLink } from '../../shared/frame/pages';
import { useKeys } from '../../shared/useKeys';
import { useTell } from '../../shared/useTell';
import { api } from '../../shared/api';
import { buildApi } from './buildApi';
import { linesOfPlan } from './lineStates';
import { PlanFile } from './PlanFile';
import type { OpenPlan } from './usePlan';

interface LaunchBarProps {
  open: OpenPlan;
  onOpen: (id: number) => void;
  onTab: (tab: 'campaigns' | 'terms' | 'items') => void;
}

/** What launching a plan would do, always in sight: its money, what is wrong, and how far it is. */
export function LaunchBar({ open, onOpen, onTab }: LaunchBarProps) {
  const { id, account, plan, campaigns, faults, data, edit, undo, isKept, keepNow, look } = open;
  const client = useQueryClient();
  const tell = useTell();
  const [isAsking, setAsking] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const sum = campaigns.reduce((all, { budget }) => all + budget, 0);
  const lines = linesOfPlan(data.lines);
  const counts = campaigns.reduce(
    (all, { targets, negatives }) => ({
      targets: all.targets + targets.length,
      negatives: all.negatives + negatives.length,
    }),
    { targets: 0, negatives: 0 },
  );
  const isSound = faults.wrong.length === 0 && campaigns.length > 0;
  // A campaign, its ad group, its ads, and what stands in it.
  const planned = campaigns.length * (3 + plan.more.length) + counts.targets + counts.negatives;
  const isMade =
    isKept && Object.values(data.lines).filter(({ state }) => state === 'accepted').length >= planned;
  const refresh = async () => {
    await look();
    await client.invalidateQueries({
      predicate: ({ queryKey }) =>
        ['changes', 'bales', 'structure', 'accounts'].includes(String(queryKey[0])),
    });
  };
  const act = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      if (await keepNow()) await work();
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    } finally {
      setBusy(false);
      await refresh();
    }
  };
  const stage = () =>
    act(async () => {
      const { ids } = await undo.during(buildApi.stage(account.id, id));
      if (ids.length === 0) return tell('Everything of the plan stands, or waits in the tray already.');
      undo.did({
        words: `${counted(ids.length, 'change')} put to the tray`,
        undoing: { kind: 'take-out', ids },
      });
    });
  const launch = () =>
    act(async () => {
      const { sent, trouble } = await buildApi.launch(account.id, id);
      tell(
        trouble !== ''
          ? trouble
          : sent === 0
            ? 'Everything of the plan stands already.'
            : `${counted(sent, 'change')} sent. The Ledger undoes them together.`,
        trouble === '' ? {} : { kind: 'warning' },
      );
    });
  const made = campaigns.flatMap(({ key }) => {
    const line = data.lines[lineOf.campaign(key)];
    return line?.state === 'accepted' ? [line.changeId] : [];
  });
  const endMade = () =>
    act(async () => {
      const { ids } = await undo.during(api.undo(account.id, made, 'set-back'));
      undo.did({
        words: `the end of ${formatCount(ids.length)} campaigns put to the tray`,
        undoing: { kind: 'take-out', ids },
      });
    });
  const throwAway = () =>
    act(async () => {
      await api.throwPlan(account.id, id);
      undo.did({
        words: `the plan for ${data.product.name} thrown away`,
        undoing: { kind: 'plan-back', id },
      });
    });
  useKeys({ 'ctrl+enter': () => isSound && setAsking(true) });
  const first = faults.wrong[0];
  const tabOf = (at: string) =>
    at.startsWith('terms.') ? 'terms' : /^(items|refined)\./.test(at) ? 'items' : 'campaigns';
  return (
    <footer className="launchBar" aria-label="Launch">
      <MoneyField
        label="Total budget"
        micros={plan.total}
        currency={account.currency}
        step={1_000_000}
        onMicros={(total) => edit({ total }, 'the total was edited')}
        after={
          sum === plan.total
            ? plan.settings.budgetKind === 'lifetime'
              ? 'in all'
              : 'a day'
            : `campaigns come to ${formatMoney(sum)}`
        }
      />
      <span className="faint small">
        {formatCount(counts.targets)} targets, {counted(counts.negatives, 'negative')}
      </span>
      {first ? (
        <Button
          data-may="decide"
          variant="link"
          className="over"
          color="inherit"
          title={first.sentence}
          onClick={() => onTab(tabOf(first.at))}
        >
          {formatCount(faults.wrong.length)} wrong: {first.sentence}
        </Button>
      ) : (
        lines && (
          <span className={`small ${lines.isBad ? 'over' : 'faint'}`} role="status">
            {lines.words}
            {lines.bales.map((bale) => (
              <PlaceLink key={bale} href={`${pageLink('ledger', account.id)}&bale=${bale}`}>
                {' '}
                Bale {bale}
              </PlaceLink>
            ))}
          </span>
        )
      )}
      <span className="room" />
      <span className="faint small" aria-live="polite">
        {isKept ? '' : 'Keeping …'}
      </span>
      <PlanFile open={open} onOpen={onOpen} />
      <Choice
        label="More"
        value=""
        placeholder="More …"
        onChange={(next) => {
          if (next === 'stage') void stage();
          if (next === 'end') void endMade();
          if (next === 'throw') void throwAway();
        }}
      >
        {[
          ['stage', 'Put to the tray, and look first', !isSound || !account.connected],
          ['end', 'End what it has made', made.length === 0],
          ['throw', 'Throw the plan away'],
        ]}
      </Choice>
      <Button
        data-may="send"
        variant="contained"
        disabled={!isSound || isBusy || isMade || !account.connected}
        title={
          account.connected ? 'Ctrl+Enter' : 'The account is fed by files: no market makes its campaigns'
        }
        onClick={() => setAsking(true)}
      >
        {lines?.isBad ? 'Send again' : isMade && campaigns.length > 0 ? 'All made' : 'Launch'}
      </Button>
      {isAsking && (
        <Ask
          title={`Send ${formatCount(campaigns.length)} campaigns for ${data.product.name}?`}
          does={isKept ? 'Send' : 'Keep and send'}
          onDone={(isWanted) => {
            setAsking(false);
            if (isWanted) void launch();
          }}
        >
          <p>
            {formatMoney(sum)} {account.currency}{' '}
            {plan.settings.budgetKind === 'lifetime' ? 'in all' : 'a day'}, {formatCount(counts.targets)}{' '}
            targets, {counted(counts.negatives, 'negative')}, in one bale: campaigns first, then what goes
            into them.
            {plan.settings.state === 'paused' && ' They start paused.'}
            {plan.settings.startsOn && ` They start on ${plan.settings.startsOn}.`}
          </p>
          {faults.all.length > 0 && (
            <ul className="plainList">
              {faults.all.slice(0, 8).map(({ at, sentence }) => (
                <li key={`${at} ${sentence}`} className="warning">
                  {sentence}
                </li>
              ))}
              {faults.all.length > 8 && <li>… and {formatCount(faults.all.length - 8)} more to be told.</li>}
            </ul>
          )}
        </Ask>
      )}
    </footer>
  );
}
