import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { bidFor } from '../../../../core/build';
import type { PlanTerm } from '../../../../core/build';
import { formatCount } from '../../../../core/units';
import { api } from '../../../shared/api';
import { hasBids } from '../../../shared/offered';
import { Ask, Choice } from '../../../shared/kit';
import type { Option } from '../../../shared/kit';
import { useTell } from '../../../shared/useTell';
import type { OpenPlan } from '../usePlan';

const RULES = {
  part: 'the part’s own bid',
  worth: 'what a click is worth × target ACOS',
  market: 'the market’s suggestion',
  low: 'the low end of its range',
  high: 'the high end of its range',
} as const;
type Rule = keyof typeof RULES;

interface TermBidsProps {
  open: OpenPlan;
  /** Null: all. */
  chosen: readonly number[] | null;
  /** What stands at the end of the line. */
  children: ReactNode;
}

/** Bids of many terms by a rule; what was set by hand is only overridden once that is told. */
export function TermBids({ open, chosen, children }: TermBidsProps) {
  const { account, plan, edit, data } = open;
  const tell = useTell();
  const [rule, setRule] = useState<Rule>('part');
  const [asking, setAsking] = useState<PlanTerm[] | null>(null);
  const [isBusy, setBusy] = useState(false);
  if (plan.terms.length === 0) return null;
  const rows = chosen ?? plan.terms.map((_, at) => at);

  const bidsBy = async (): Promise<PlanTerm[]> => {
    const wanted = new Set(rows);
    if (rule === 'part') return plan.terms.map((term, at) => (wanted.has(at) ? { ...term, bids: {} } : term));
    if (rule === 'worth')
      return plan.terms.map((term, at) => {
        if (!wanted.has(at)) return term;
        const bids = term.matches.flatMap((match) => {
          const worth = data.worth[match];
          return worth === undefined
            ? []
            : [[match, bidFor(worth, data.product.targetAcos, null, account.limits)] as const];
        });
        return { ...term, bids: { ...term.bids, ...Object.fromEntries(bids) } };
      });
    const asked = plan.terms.flatMap((term, at) =>
      wanted.has(at) ? term.matches.map((match) => ({ at, match, expression: term.text })) : [],
    );
    const { bids } = await api.suggestNew(
      account.id,
      asked.map(({ match, expression }) => ({
        productId: plan.productId,
        kind: 'keyword',
        match,
        expression,
      })),
    );
    const terms = plan.terms.map((term) => ({ ...term, bids: { ...term.bids } }));
    asked.forEach(({ at, match }, index) => {
      const told = bids[index];
      if (told) terms[at].bids[match] = rule === 'market' ? told.bid : told[rule];
    });
    const unknown = bids.filter((one) => one === null).length;
    if (unknown > 0) tell(`The market knows nothing of ${formatCount(unknown)} of them: their bids stay.`);
    return terms;
  };

  const apply = async () => {
    setBusy(true);
    try {
      const terms = await bidsBy();
      if (overridden(plan.terms, terms) > 0) setAsking(terms);
      else edit({ terms }, 'bids were set');
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="bar">
      {hasBids(account) && (
        <>
          <Choice label="Bids by" isLabelled value={rule} onChange={(next) => setRule(next as Rule)}>
            {(Object.keys(RULES) as Rule[])
              .filter((one) => account.connected || one === 'part' || one === 'worth')
              .map((one): Option => [one, RULES[one]])}
          </Choice>
          <Button disabled={isBusy} onClick={() => void apply()}>
            Set {chosen ? `${formatCount(chosen.length)} chosen` : 'all'}
          </Button>
        </>
      )}
      <span className="room" />
      {children}
      {asking && (
        <Ask
          title={`${formatCount(overridden(plan.terms, asking))} bids that were set by hand would be others`}
          does="Set them all"
          onDone={(isWanted) => {
            setAsking(null);
            if (isWanted) edit({ terms: asking }, 'bids were set');
          }}
        >
          <p>They stand at their terms now. By {RULES[rule]} they get other bids; undo brings them back.</p>
        </Ask>
      )}
    </div>
  );
}

/** How many bids of their own would be lost. */
function overridden(before: readonly PlanTerm[], after: readonly PlanTerm[]): number {
  return before.reduce(
    (sum, { bids }, at) =>
      sum +
      (Object.keys(bids) as (keyof typeof bids)[]).filter((match) => bids[match] !== after[at].bids[match])
        .length,
    0,
  );
}
