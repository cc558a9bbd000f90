import type { BuildPlan } from '../../core/build';
import { PART_NAMES } from '../../core/build';
import { KEYWORD_MATCHES } from '../../core/matching';
import { microsToDecimal, toMicros } from '../../core/units';

/** The columns of a plan's file. */
export const PLAN_COLUMNS = ['what', 'name', 'bid', 'value'] as const;
export type PlanFileRow = Record<(typeof PLAN_COLUMNS)[number], string>;

/** Values of a plan that stand by themselves, each in a line of its own. */
const PLAIN = [
  'pattern',
  'code',
  'purpose',
  'source',
  'groupsApart',
  'mostKeywords',
  'rule',
  'adGroupShare',
] as const;

const money = (micros: number | null | undefined) => (micros == null ? '' : microsToDecimal(micros));

/**
 * A plan as lines of a file: a line a setting, part, automatic group, term and match type, item, category, budget and name. Read back it is the same plan.
 * @param codeOf a product's item code
 */
export function rowsOfPlan(plan: BuildPlan, codeOf: (productId: number) => string): PlanFileRow[] {
  const row = (what: string, name: string, bid = '', value = ''): PlanFileRow => ({ what, name, bid, value });
  const json = (value: unknown) => JSON.stringify(value);
  return [
    row('product', codeOf(plan.productId), '', 'first'),
    ...plan.more.map((id) => row('product', codeOf(id))),
    ...PLAIN.map((name) => row('plan', name, '', json(plan[name]))),
    row('plan', 'total', '', money(plan.total)),
    ...Object.entries(plan.settings).map(([name, value]) => row('setting', name, '', json(value))),
    ...PART_NAMES.map((name) => {
      const { isOn, isEmpty, bid } = plan.parts[name];
      return row('part', name, money(bid), `${isOn ? 'on' : 'off'}${isEmpty ? ' empty' : ''}`);
    }),
    ...plan.groups.map(({ name, isOn, bid }) => row('auto', name, money(bid), isOn ? 'on' : 'off')),
    ...plan.terms.flatMap(({ text, matches, bids, home = '' }) =>
      matches.length === 0
        ? [row('no match type', text, '', home)]
        : matches.map((match) => row(match, text, money(bids[match]), home)),
    ),
    ...plan.items.map(({ code, isOwn, bid }) => row(isOwn ? 'own item' : 'rival item', code, money(bid))),
    ...plan.refined.map(({ aim, name, bid, refine, against }) =>
      row(aim, name, money(bid), json({ refine, against })),
    ),
    ...Object.entries(plan.budgets).map(([key, micros]) => row('budget', key, '', money(micros))),
    ...Object.entries(plan.names).map(([key, name]) => row('name', key, '', name)),
    ...Object.entries(plan.own).map(([key, fields]) => row('own settings', key, '', json(fields))),
    ...plan.uncrossed.map((key) => row('not kept out', key)),
  ];
}

/** A plan's file that cannot be read: which line, and why. */
export interface PlanFileFault {
  line: number;
  what: string;
}

/**
 * The plan of a file's lines; its values are checked as any plan's afterwards.
 * @param rows with their line numbers @param productOf the product of an item code; undefined where the account has none
 */
export function planOfRows(
  rows: readonly (PlanFileRow & { line: number })[],
  productOf: (code: string) => number | undefined,
): { plan: Record<string, unknown>; faults: PlanFileFault[] } {
  const faults: PlanFileFault[] = [];
  const lists = { more: [], groups: [], terms: [], items: [], refined: [], uncrossed: [] } as Record<
    string,
    unknown[]
  >;
  const maps = { parts: {}, settings: {}, budgets: {}, names: {}, own: {} } as Record<
    string,
    Record<string, unknown>
  >;
  const plan: Record<string, unknown> = { ...lists, ...maps };
  for (const { line, what, name, bid: written, value } of rows) {
    const fault = (why: string) => faults.push({ line, what: why });
    const amount = (text: string): number | null => {
      if (text.trim() === '') return null;
      if (!/^-?\d+([.,]\d+)?$/.test(text.trim())) {
        fault(`“${text.slice(0, 40)}” is no amount.`);
        return null;
      }
      return toMicros(Number(text.trim().replace(',', '.')));
    };
    const parsed = (text: string): unknown => {
      try {
        return JSON.parse(text);
      } catch {
        fault(`“${text.slice(0, 40)}” cannot be read.`);
        return null;
      }
    };
    const bid = amount(written);
    switch (what.trim().toLowerCase()) {
      case 'product': {
        const id = productOf(name.trim().toUpperCase());
        if (id === undefined) fault(`The account has no product with the item code “${name}”.`);
        else if (value.trim() === 'first') plan.productId = id;
        else lists.more.push(id);
        break;
      }
      case 'plan':
        plan[name] = name === 'total' ? amount(value) : parsed(value);
        break;
      case 'setting':
        maps.settings[name] = parsed(value);
        break;
      case 'part':
        maps.parts[name] = { isOn: value.startsWith('on'), isEmpty: value.endsWith('empty'), bid };
        break;
      case 'auto':
        lists.groups.push({ name, isOn: value.trim() === 'on', bid });
        break;
      case 'exact':
      case 'phrase':
      case 'broad':
      case 'no match type':
        addTerm(lists.terms as FileTerm[], name, what.trim().toLowerCase(), bid, value);
        break;
      case 'rival item':
      case 'own item':
        lists.items.push({ code: name, isOwn: what.trim().toLowerCase() === 'own item', bid });
        break;
      case 'category':
      case 'brand': {
        const { refine = null, against = null } = (value === '' ? {} : parsed(value)) as Record<
          string,
          unknown
        >;
        lists.refined.push({ aim: what.trim().toLowerCase(), name, bid, refine, against });
        break;
      }
      case 'budget':
        maps.budgets[name] = amount(value);
        break;
      case 'name':
        maps.names[name] = value;
        break;
      case 'own settings':
        maps.own[name] = parsed(value);
        break;
      case 'not kept out':
        lists.uncrossed.push(name);
        break;
      default:
        fault(`“${what.slice(0, 40)}” is nothing that a plan has.`);
    }
  }
  return { plan, faults };
}

interface FileTerm {
  text: string;
  matches: string[];
  bids: Record<string, number>;
  home?: string;
}

/** Lines of one term that follow each other are its match types. */
function addTerm(terms: FileTerm[], text: string, match: string, bid: number | null, home: string) {
  const last = terms.at(-1);
  const isMatch = KEYWORD_MATCHES.some((one) => one === match);
  const isSame = last?.text === text && isMatch && !last.matches.includes(match);
  const term: FileTerm = isSame ? last : { text, matches: [], bids: {}, ...(home !== '' && { home }) };
  if (!isSame) terms.push(term);
  if (isMatch) term.matches.push(match);
  if (isMatch && bid !== null) term.bids[match] = bid;
}
