import { useMemo, useState } from 'react';
import type { KeywordMatch } from '../../../../core/matching';
import { formatCount } from '../../../../core/units';
import { Check } from '../../../shared/kit';
import { refusalsAt } from '../lineStates';
import { rowMoves } from '../../../shared/rowMoves';
import { useKeys } from '../../../shared/useKeys';
import { useRows } from '../../../shared/useRows';
import type { OpenPlan } from '../usePlan';
import { AddTerms } from './AddTerms';
import { TermBids } from './TermBids';
import { TermRows } from './TermRows';
import { useTermEdits } from './useTermEdits';

/** The terms of a plan: pasted, taken from the account or the market, each with its match types, bids, and what is to be told of it. */
export function TermsTab({ open }: { open: OpenPlan }) {
  const { plan, faults, campaigns, data } = open;
  const [onlyWrong, setOnlyWrong] = useState(false);
  const wrong = useMemo(() => {
    const refused = plan.terms.flatMap((_term, at) =>
      refusalsAt({ campaigns, data }, `terms.${at}`).length > 0 ? [at] : [],
    );
    const faulty = faults
      .in('terms')
      .flatMap(({ weight, at }) => (weight === 'wrong' ? [Number(at.split('.')[1])] : []));
    return [...new Set([...refused, ...faulty])].sort((a, b) => a - b);
  }, [plan.terms, faults, campaigns, data]);
  const isFiltered = onlyWrong && wrong.length > 0;
  const places = useMemo(
    () => Int32Array.from(isFiltered ? wrong.filter((at) => at < plan.terms.length) : plan.terms.keys()),
    [isFiltered, plan.terms, wrong],
  );
  const rows = useRows(places, `${open.id} ${isFiltered}`);
  const edits = useTermEdits(open);
  const [matches, setMatches] = useState<readonly KeywordMatch[]>(['exact']);
  const chosen = () => rows.chosen();
  const toggle = (match: KeywordMatch) => () => edits.toggle(chosen(), match);
  useKeys({
    ...rowMoves(rows),
    e: toggle('exact'),
    p: toggle('phrase'),
    b: toggle('broad'),
    m: () => edits.mend(chosen()),
    delete: () => edits.takeOut(chosen()),
  });
  return (
    <div className="planList">
      <AddTerms open={open} matches={matches} onMatches={setMatches} />
      <TermBids open={open} chosen={rows.selection.size > 0 ? chosen() : null}>
        {wrong.length > 0 && (
          <Check isOn={isFiltered} onChange={setOnlyWrong} title="m mends the chosen lines">
            <span className="over">
              {formatCount(wrong.length)} {wrong.length === 1 ? 'line is' : 'lines are'} wrong: show these
              only
            </span>
          </Check>
        )}
      </TermBids>
      <TermRows open={open} places={places} rows={rows} edits={edits} />
    </div>
  );
}
