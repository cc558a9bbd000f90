import { matchForm } from '../matching';
import type { Sums } from '../measures';
import { largest } from '../order';
import type { Negative } from '../structure';
import { sumsOfRows } from '../terms';
import type { TermContext } from '../terms';
import { blockedForms, rowsOfForm } from './blocking';
import { holdsIn } from './checkNegatives';
import type { NegativeCheck } from './checkNegatives';

/** What is odd about a negative that stands. */
export interface NegativeFinding {
  kind: 'blocks-target' | 'blocks-sold' | 'duplicate' | 'covered' | 'blocks-nothing';
  negative: Negative;
  /** What its terms came to elsewhere, for one that blocks terms which sold there and have no home. */
  elsewhere: Sums;
  /** Terms or targets it is about, a few of them. */
  examples: string[];
  /** Share of the terms of the target it is about that it stops: the largest; 0 for other findings. */
  share: number;
  /** The negative that does the same, for duplicates and covered ones. */
  by: Negative | null;
}

const MOST_EXAMPLES = 5;

/**
 * Looks through the negatives that stand: those that keep a live target of their place from showing; that block terms which sold elsewhere and
 * are an exact target nowhere (a term that has a home is blocked elsewhere on purpose); that stand twice; that another one of the place
 * covers; and those that no term of the window would meet anywhere. One finding each, the gravest.
 */
export function standingNegatives(context: TermContext, check: NegativeCheck): NegativeFinding[] {
  const live = context.structure.negatives.filter(({ state }) => state === 'enabled');
  const blocks = check.blocks(live);
  const forms = blockedForms(check.terms, live);
  const twins = new Map<string, Negative>();
  const phrasesIn = new Map<string | number, Negative[]>();
  for (const one of live)
    if (one.match === 'phrase') {
      const key = placeKey(one);
      phrasesIn.set(key, [...(phrasesIn.get(key) ?? []), one]);
    }
  return live.flatMap((negative, at): NegativeFinding[] => {
    const key = `${placeKey(negative)} ${negative.match} ${matchForm(negative.expression)}`;
    const twin = twins.get(key);
    twins.set(key, twin ?? negative);
    const finding = (
      kind: NegativeFinding['kind'],
      over: Partial<NegativeFinding> = {},
    ): NegativeFinding[] => [
      { kind, negative, elsewhere: sumsOfRows(context.table, []), examples: [], share: 0, by: null, ...over },
    ];
    const targets = blocks[at].targets.filter(({ id }) => !isMoved(context, negative, id));
    if (targets.length > 0)
      return finding('blocks-target', {
        examples: targets.slice(0, MOST_EXAMPLES).map(({ id }) => context.structure.target(id)!.expression),
        share: largest(targets.map(({ share }) => share)),
      });
    const sold = soldElsewhere(context, check, negative, forms[at]);
    if (sold.rows.length > 0)
      return finding('blocks-sold', {
        elsewhere: sumsOfRows(context.table, sold.rows),
        examples: sold.examples,
      });
    if (twin) return finding('duplicate', { by: twin });
    const cover = coverOf(negative, phrasesIn);
    if (cover) return finding('covered', { by: cover });
    return forms[at].length === 0 ? finding('blocks-nothing') : [];
  });
}

/** Whether what a negative stops was moved on purpose: the same words, or the same item, are a live target elsewhere. */
function isMoved({ structure }: TermContext, negative: Negative, targetId: number): boolean {
  if (negative.match === 'phrase') return false;
  return structure.exactTargets(matchForm(negative.expression)).some((home) => {
    const adGroup = structure.adGroup(home.adGroupId);
    return (
      home.id !== targetId &&
      home.state === 'enabled' &&
      adGroup !== undefined &&
      !holdsIn(negative, adGroup.id, adGroup.campaignId)
    );
  });
}

const placeKey = ({ campaignId, adGroupId }: Negative) => adGroupId ?? `campaign ${campaignId}`;

function soldElsewhere(
  { table, structure }: TermContext,
  { terms }: NegativeCheck,
  negative: Negative,
  forms: readonly number[],
): { rows: number[]; examples: string[] } {
  const rows: number[] = [];
  const examples: string[] = [];
  for (const form of forms) {
    if (structure.exactTargets(terms.forms[form]).length > 0) continue;
    const sold = Array.from(rowsOfForm(terms, form)).filter(
      (row) => table.orders[row] > 0 && !holdsIn(negative, table.adGroupId[row], table.campaignId[row]),
    );
    if (sold.length === 0) continue;
    for (const one of sold) rows.push(one);
    if (examples.length < MOST_EXAMPLES) examples.push(table.term[sold[0]]);
  }
  return { rows, examples };
}

/** A phrase negative of the same place, or of the whole campaign, that blocks whatever this one does. */
function coverOf(negative: Negative, phrases: ReadonlyMap<string | number, Negative[]>): Negative | null {
  if (negative.match === 'item') return null;
  const form = ` ${matchForm(negative.expression)} `;
  const around = [
    ...(phrases.get(placeKey(negative)) ?? []),
    ...(negative.adGroupId === null ? [] : (phrases.get(`campaign ${negative.campaignId}`) ?? [])),
  ];
  return (
    around.find(
      (other) =>
        other !== negative &&
        form.includes(` ${matchForm(other.expression)} `) &&
        (form !== ` ${matchForm(other.expression)} ` ||
          negative.match === 'exact' ||
          other.adGroupId === null),
    ) ?? null
  );
}
