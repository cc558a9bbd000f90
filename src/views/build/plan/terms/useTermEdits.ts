import type { KeywordMatch } from '../../../../core/matching';
import type { PlanTerm } from '../../../../core/build';
import { formatCount } from '../../../../core/units';
import { useTell } from '../../../shared/useTell';
import type { OpenPlan } from '../usePlan';

/** What is done with some terms of a plan, by their places in it. */
export function useTermEdits({ plan, edit, faults }: OpenPlan) {
  const tell = useTell();
  const put = (rows: readonly number[], change: (term: PlanTerm, at: number) => PlanTerm, words: string) => {
    const wanted = new Set(rows);
    edit({ terms: plan.terms.map((term, at) => (wanted.has(at) ? change(term, at) : term)) }, words);
  };
  const count = (rows: readonly number[]) =>
    rows.length === 1 ? 'a term' : `${formatCount(rows.length)} terms`;
  const mendedOf = (at: number) =>
    faults.at(`terms.${at}`).find(({ mended }) => mended !== undefined)?.mended;
  const takeOut = (rows: readonly number[]) => {
    if (rows.length === 0) return;
    const wanted = new Set(rows);
    edit({ terms: plan.terms.filter((_, at) => !wanted.has(at)) }, `${count(rows)} taken out of the plan`);
  };
  return {
    takeOut,
    mendedOf,
    setText: (at: number, text: string) => {
      if (text.trim() !== '' && text !== plan.terms[at].text)
        put([at], (term) => ({ ...term, text: text.trim() }), 'a term was edited');
    },
    setBid: (at: number, match: KeywordMatch, bid: number) =>
      put([at], (term) => ({ ...term, bids: { ...term.bids, [match]: bid } }), 'a bid was edited'),
    /** Off where all have it, on otherwise. */
    toggle: (rows: readonly number[], match: KeywordMatch) => {
      if (rows.length === 0) return;
      const isOff = rows.every((at) => plan.terms[at].matches.includes(match));
      put(
        rows,
        (term) => ({
          ...term,
          matches: isOff
            ? term.matches.filter((one) => one !== match)
            : [...new Set([...term.matches, match])],
        }),
        `${match} ${isOff ? 'off' : 'on'} for ${count(rows)}`,
      );
    },
    /** Writes terms as the market takes them; those that stand twice go. */
    mend: (rows: readonly number[]) => {
      const able = rows.filter((at) => mendedOf(at) !== undefined);
      if (able.length === 0) return tell('Nothing to mend here: what is wrong has to be written anew.');
      const gone = new Set(able.filter((at) => mendedOf(at) === ''));
      const wanted = new Set(able);
      edit(
        {
          terms: plan.terms.flatMap((term, at) =>
            gone.has(at) ? [] : [wanted.has(at) ? { ...term, text: mendedOf(at)! } : term],
          ),
        },
        `${count(able)} mended`,
      );
    },
  };
}

export type TermEdits = ReturnType<typeof useTermEdits>;
