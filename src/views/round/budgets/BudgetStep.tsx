import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useRef, useState } from 'react';
import { formatCount, formatMoney, MICROS_PER_UNIT } from '../../../core/units';
import { useFolded } from '../../shared/useFolded';
import { CAMPAIGN_FIELDS } from '../campaigns';
import { StepFrame } from '../frame/StepFrame';
import { useAskedRows } from '../frame/useAskedRows';
import type { RoundAt } from '../steps/step';
import { AcceptBudgets } from './AcceptBudgets';
import { BudgetEvidence } from './BudgetEvidence';
import { BudgetRows } from './BudgetRows';
import { MoneyForm } from './MoneyForm';
import { useBudgetKeys } from './useBudgetKeys';
import { ranDry } from './ranDry';
import type { BudgetWork } from './useBudgetWork';

const WAITING = 'Working out what every campaign needs …';

/** The step of budgets: who ran dry, who has money idle, and where it would sell more. */
export function BudgetStep({ account, fault, window, state, work }: RoundAt & { work: BudgetWork }) {
  const { loaded, plan, arranged, view, decisions, money } = work;
  const { rows, shown } = view;
  const [isAdding, setAdding] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const [isMoney, setMoney] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  const [isFolded, fold] = useFolded('picture-folded');
  useBudgetKeys({
    work,
    onAsk: () => setAsking(true),
    onMoney: () => setMoney(true),
    onAdding: setAdding,
    onFold: fold,
  });
  const currency = account?.currency ?? '';
  const isSelection = rows.selection.size > 0;
  const chosen = isSelection ? rows.chosen() : Array.from(shown);
  const asked = useAskedRows(isAsking, work.isCurrent, loaded?.loadId, () => chosen);
  return (
    <>
      <StepFrame
        view={view}
        head={{
          account,
          window,
          state,
          sentence: sentenceOf(work, currency),
          proposed: arranged?.left ?? 0,
          all: { count: arranged?.all ?? 0, word: 'campaigns' },
          aside: decisions.asideIds.length,
          controls: (
            <Button
              ref={anchor}
              onClick={() => setMoney(true)}
              disabled={!plan}
              title="What the money is for (m)"
            >
              {money.means === null
                ? 'What may be spent? …'
                : money.means === 'money'
                  ? `${formatMoney(money.month)} a month`
                  : 'The sum stays'}
            </Button>
          ),
          below: plan && work.hasData && (
            <Total work={work} currency={currency} onMoney={() => setMoney(true)} />
          ),
          accept:
            plan?.isAsked && shown.length > 0 && state.show === 'proposed'
              ? { count: chosen.length, isSelection, asks: true, run: () => setAsking(true) }
              : null,
        }}
        fields={CAMPAIGN_FIELDS}
        isAdding={isAdding}
        onAdding={setAdding}
        cut={{ target: account?.targetAcos ?? 0.25, currency }}
        isFolded={isFolded}
        onFold={fold}
        fault={fault ?? work.error}
        waiting={WAITING}
        rows={
          account && loaded && plan && arranged ? (
            <BudgetRows account={account} state={state} work={work} table={loaded.table} plan={plan} />
          ) : null
        }
        evidence={<BudgetEvidence account={account} work={work} row={rows.focusedRow} />}
      />
      {plan && (
        <Popover open={isMoney} anchorEl={anchor.current} onClose={() => setMoney(false)}>
          <MoneyForm
            money={money}
            sum={plan.total.before}
            currency={currency}
            onDone={(next) => {
              work.setMoney(next);
              setMoney(false);
            }}
          />
        </Popover>
      )}
      {asked && plan?.isAsked && loaded && (
        <AcceptBudgets
          plan={plan}
          table={loaded.table}
          rows={asked}
          currency={currency}
          onDone={(wanted) => {
            setAsking(false);
            if (wanted) void work.accept(wanted);
          }}
        />
      )}
    </>
  );
}

function sentenceOf({ arranged, plan, hasData }: BudgetWork, currency: string): string {
  if (!arranged || !plan) return WAITING;
  if (!hasData) return 'Budgets are moved here once they are known.';
  if (!plan.isAsked) {
    const { count, missed, isKnown } = ranDry(plan);
    if (!isKnown) return 'Which campaigns ran dry can be told once reports by hour are in.';
    return count === 0
      ? 'No campaign ran dry in the last 28 days.'
      : `${formatCount(count)} ran dry: ${formatMoney(missed)} ${currency} of sales missed a month.`;
  }
  if (arranged.left === 0) return 'The money lies where it is needed.';
  return `Sales +${formatMoney(plan.gain.sales)} ${currency} a month by moving money.`;
}

/** In whole units of the currency, with its sign. */
const whole = (micros: number) =>
  `${micros < 0 ? '−' : '+'}${formatCount(Math.round(Math.abs(micros) / MICROS_PER_UNIT))}`;

/** What all of it comes to; or the question that has to be answered first. */
function Total({ work, currency, onMoney }: { work: BudgetWork; currency: string; onMoney: () => void }) {
  const { total, gain, share, isAsked } = work.plan!;
  if (!isAsked)
    return (
      <p className="note totals">
        Daily budgets come to {formatMoney(total.before)} {currency}.{' '}
        <Button variant="link" onClick={onMoney}>
          Say what may be spent
        </Button>
        , and money is moved to where it sells more.
      </p>
    );
  return (
    <p className="note totals" title={`Sales of a month with their 80 % interval, at present bids`}>
      Budgets <b>{formatMoney(total.before)}</b> → <b>{formatMoney(total.after)}</b> {currency} a day
      {total.after === total.before && ', to the cent'}; a month spend <b>{whole(gain.spend)}</b>, sales{' '}
      <b>{whole(gain.sales)}</b> ({whole(gain.low)} to {whole(gain.high)})
      {share < 0.995 && '; the money holds the bids'}.
    </p>
  );
}
