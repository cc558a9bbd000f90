import { checkBid, checkWords, withoutRefused } from '../changes';
import { isItemCode, matchForm, wordsOf, normaliseTerm } from '../matching';
import { told, wrong } from './fault';
import type { PlanFault } from './fault';
import type { PlanGround } from './ground';
import { partNamed } from './parts';
import type { BuildPlan, PlanTerm } from './plan';

/** What is to be told of each term of a plan. */
export function checkTerms(plan: BuildPlan, ground: PlanGround): PlanFault[] {
  const first = new Map<string, string>();
  const products = [plan.productId, ...plan.more];
  return plan.terms.flatMap((term, index) => {
    const at = `terms.${index}`;
    const { text } = term;
    const form = matchForm(text);
    const twin = first.get(form);
    if (twin !== undefined)
      return [
        wrong(
          at,
          twin === text
            ? 'It stands in the plan twice.'
            : `The market does not tell it from “${twin}”, which stands in the plan already.`,
          '',
        ),
      ];
    first.set(form, text);
    return [
      ...refusedIn(term, at, ground),
      ...checkBids(term, at, ground),
      ...doubtsOf(term, form, at, products, ground),
    ];
  });
}

/** What the market refuses in a term's words, with how they can be written instead. */
function refusedIn({ text }: PlanTerm, at: string, { limits }: PlanGround): PlanFault[] {
  const [finding] = checkWords(text, limits);
  if (!finding) return [];
  const mended = mendedText(text, limits);
  return [wrong(at, finding.sentence, mended === text ? undefined : mended)];
}

/** A text without refused characters, cut to the words and characters that a market takes; whole words only. */
function mendedText(text: string, limits: PlanGround['limits']): string {
  const words = wordsOf(normaliseTerm(withoutRefused(text, limits))).slice(0, limits.maxWords);
  while (words.length > 0 && [...words.join(' ')].length > limits.maxLength) words.pop();
  const plain = withoutRefused(text, limits);
  return checkWords(plain, limits).length === 0 ? plain : words.join(' ');
}

function checkBids({ matches, bids }: PlanTerm, at: string, { limits }: PlanGround): PlanFault[] {
  if (matches.length === 0) return [wrong(at, 'It has no match type: choose one, or take it out.')];
  return matches.flatMap((match) => {
    const bid = bids[match];
    const [finding] = bid === undefined ? [] : checkBid(bid, limits);
    return finding ? [wrong(`${at}.${match}`, finding.sentence)] : [];
  });
}

/** What speaks against a term without being wrong. */
function doubtsOf(
  { text, matches }: PlanTerm,
  form: string,
  at: string,
  products: readonly number[],
  { exactIn, negativeIn, unwanted }: PlanGround,
): PlanFault[] {
  const place = matches.includes('exact') ? exactIn(form, products) : null;
  const blocked = negativeIn(form, products);
  const word = unwanted(text);
  return [
    ...(place === null
      ? []
      : [told(at, `It has an exact bid in “${place}” already: two would learn half each.`)]),
    ...(blocked === null ? [] : [told(at, `It is negative in “${blocked}”.`)]),
    ...(word === null ? [] : [told(at, `It holds “${word}”, which is never wanted.`)]),
  ];
}

/** What is to be told of each item of a plan. */
export function checkItems(plan: BuildPlan, ground: PlanGround): PlanFault[] {
  const first = new Set<string>();
  const own = new Set([...ground.products.values()].map(({ itemCode }) => itemCode.toUpperCase()));
  const advertised = [plan.productId, ...plan.more];
  const theirs = new Set(advertised.map((id) => ground.products.get(id)?.itemCode.toUpperCase()));
  return plan.items.flatMap(({ code, isOwn, bid }, index) => {
    const at = `items.${index}`;
    const upper = code.toUpperCase();
    if (!plan.parts[isOwn ? 'own' : 'rivals'].isOn) return [];
    if (!isItemCode(code)) return [wrong(at, `“${code}” is not an item code of ten letters and digits.`)];
    if (first.has(upper)) return [wrong(at, 'It stands in the plan twice.', '')];
    first.add(upper);
    const [finding] = bid === null ? [] : checkBid(bid, ground.limits);
    if (finding) return [wrong(at, finding.sentence)];
    if (isOwn && !own.has(upper)) return [wrong(at, 'No product of the account has this item code.')];
    if (!isOwn && own.has(upper))
      return [wrong(at, `It is one of our own: it belongs to ${partNamed('own').label.toLowerCase()}.`)];
    const place = ground.exactIn(matchForm(code), advertised);
    return [
      ...(theirs.has(upper)
        ? [told(at, 'It is the item that is advertised: its ad would stand beside itself.')]
        : []),
      ...(place === null ? [] : [told(at, `It has a bid in “${place}” already.`)]),
    ];
  });
}
