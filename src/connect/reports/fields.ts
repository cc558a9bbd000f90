import type { ReportField } from '../../contract/reportFields';
import { currencyOfHeading, signsOf } from './currency';
import type { ReportSpec } from './reportSpec';

/** Usual wordings of the trade by field, normalised by `normaliseHeading`; the first that a file has wins. */
const WORDINGS: Record<ReportField, string[]> = {
  day: ['day', 'date', 'report date', 'start date', 'from'],
  endDay: ['end date', 'last day', 'to'],
  campaignId: ['campaign id', 'campaign identifier', 'campaign number'],
  campaign: ['campaign', 'campaign name'],
  adGroupId: ['ad group id', 'adgroup id', 'ad group identifier'],
  adGroup: ['ad group', 'ad group name', 'adgroup', 'adgroup name'],
  targetId: ['target id', 'keyword id', 'targeting id'],
  target: ['target', 'targeting', 'keyword', 'keyword text', 'keyword or target', 'target text'],
  match: ['match type', 'match', 'keyword match type', 'targeting match'],
  term: ['search term', 'customer search term', 'search query', 'query', 'shopper search term', 'term'],
  impressions: ['impressions', 'impr', 'views'],
  clicks: ['clicks', 'click'],
  placement: ['placement', 'placement name', 'ad placement', 'position'],
  hour: ['hour', 'hour of day', 'start hour', 'time'],
  itemCode: ['item code', 'item', 'listing', 'listing code', 'product code', 'product id'],
  product: ['product', 'product name', 'title', 'item name'],
  spend: ['spend', 'cost', 'ad spend', 'advertising cost', 'amount spent'],
  orders: ['orders', 'purchases', 'conversions', 'order count', 'number of orders'],
  units: ['units', 'units sold', 'units ordered', 'items sold', 'quantity'],
  sales: ['sales', 'ad sales', 'revenue', 'sales amount', 'sales value', 'ordered revenue'],
  refundedUnits: ['refunded units', 'units refunded', 'returned units', 'returns'],
  refundedSales: ['refunded sales', 'refunds', 'refund amount', 'refunded amount'],
  rank: ['organic rank', 'rank', 'organic position'],
  weeklySearches: ['searches a week', 'weekly searches', 'search volume', 'searches', 'volume'],
  currency: ['currency', 'currency code'],
  sku: ['sku', 'seller sku', 'own code'],
  price: ['price', 'sales price', 'list price'],
  goods: ['cost of goods', 'goods', 'unit cost', 'purchase price', 'landed cost'],
  fees: ['fees', 'fee', 'marketplace fees', 'commission'],
  shipping: ['shipping', 'postage', 'fulfilment', 'shipping cost', 'delivery'],
  refundRate: ['refund rate', 'return rate', 'refund share'],
  recovered: ['recovered', 'recovered of a refund', 'resale value'],
  scope: ['scope', 'level', 'for'],
  name: ['name', 'scope name'],
  acos: ['target acos', 'acos', 'acos target', 'target acos from'],
  acosTo: ['target acos up to', 'acos up to', 'target acos to'],
  margin: ['profit margin', 'margin', 'target margin', 'profit margin from'],
  marginTo: ['profit margin up to', 'margin up to', 'profit margin to'],
  campaignState: ['campaign state', 'campaign status'],
  budget: ['budget', 'daily budget'],
  budgetKind: ['budget type', 'budget kind', 'budget period'],
  topModifier: ['top of search modifier', 'top modifier', 'top of search bid adjustment'],
  restModifier: ['rest of search modifier', 'rest modifier', 'rest of search bid adjustment'],
  pagesModifier: ['product pages modifier', 'pages modifier', 'product pages bid adjustment'],
  adGroupState: ['ad group state', 'ad group status'],
  defaultBid: ['default bid', 'ad group bid'],
  bid: ['bid', 'target bid', 'keyword bid', 'max bid', 'max cpc', 'maximum cpc'],
  state: ['state', 'status', 'target state'],
};

const FIELDS = Object.keys(WORDINGS) as ReportField[];

/**
 * A heading without what differs from report to report: case, punctuation, units and currencies in brackets,
 * attribution windows ("7 day"), and words such as "total". "Total Sales (EUR), 14 days" -> "sales".
 */
export function normaliseHeading(heading: string): string {
  const currency = currencyOfHeading(heading);
  return (currency === null ? heading : heading.replace(currency, ' '))
    .normalize('NFKC')
    .toLowerCase()
    .replace(/\([^)]*\)|\[[^\]]*\]/g, ' ')
    .replace(/[^\p{Letter}\p{Number}]+/gu, ' ')
    .replace(/\b\d+ ?(d|days?)\b/g, ' ')
    .replace(/\b(total|attributed|sum of|in)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** Fields that name something: where two headings fit, either names it. */
const NAMES: ReadonlySet<ReportField> = new Set([
  'campaign',
  'adGroup',
  'target',
  'match',
  'term',
  'product',
  'itemCode',
  'name',
  'campaignId',
  'adGroupId',
  'targetId',
  'sku',
]);

function isForeign(heading: string, currency: string): boolean {
  const other = currency === '' ? null : currencyOfHeading(heading);
  return other !== null && !signsOf(currency).has(other.toUpperCase());
}

/** Column number of each field, and what has none. */
export interface HeadingMatch {
  columns: Partial<Record<ReportField, number>>;
  /** Required fields that no heading was found for, and fields that several were found for. */
  missing: ReportField[];
  /** Fields that several columns could be; none was taken. */
  several: { field: ReportField; headings: string[] }[];
  /** Headings that no field was found for and that nobody chose to leave out; their columns are not read. */
  unread: string[];
}

/** What heads a file: the fields it can have, and those it must have. */
export interface HeadingSpec {
  fields: ReportField[];
  required: ReportField[][];
}

/** The fields that a kind of report can have. */
export function fieldsOf(spec: ReportSpec | HeadingSpec): ReportField[] {
  if ('fields' in spec) return spec.fields;
  const wanted = new Set<ReportField>([
    'day',
    'endDay',
    'currency',
    ...spec.placeIds,
    ...spec.placeNames,
    ...(spec.detail === null ? [] : [spec.detail]),
    ...spec.figures.map(({ field }) => field),
    ...spec.structure,
  ]);
  return FIELDS.filter((field) => wanted.has(field));
}

/**
 * Matches headings to fields by their usual wordings.
 * @param currency the account's: of several columns those in another currency do not count; '' where it does not matter
 * @param byHand heading -> field ('' = leave out), chosen by the user; goes before the wordings
 */
export function matchHeadings(
  spec: ReportSpec | HeadingSpec,
  headings: string[],
  currency: string,
  byHand: Record<string, ReportField | ''> = {},
): HeadingMatch {
  const columns: Partial<Record<ReportField, number>> = {};
  const taken = new Set<number>();
  headings.forEach((heading, column) => {
    const field = byHand[heading];
    if (field === undefined) return;
    taken.add(column);
    if (field !== '') columns[field] ??= column;
  });
  const normal = headings.map(normaliseHeading);
  const several: HeadingMatch['several'] = [];
  for (const field of fieldsOf(spec)) {
    if (columns[field] !== undefined) continue;
    const candidates = WORDINGS[field].flatMap((wording) =>
      normal.flatMap((text, column) => (text === wording && !taken.has(column) ? [column] : [])),
    );
    const own = candidates.filter((column) => !isForeign(headings[column], currency));
    const [first] = own.length > 0 ? own : candidates;
    if (first === undefined) continue;
    // A name may stand there twice in other words; of two figures or days nobody can tell which one is meant.
    if (own.length > 1 && !NAMES.has(field)) {
      several.push({ field, headings: own.map((column) => headings[column]) });
      for (const column of own) taken.add(column);
      continue;
    }
    columns[field] = first;
    taken.add(first);
  }
  const used = new Set(Object.values(columns));
  return {
    columns,
    several,
    missing: [
      ...spec.required
        .filter(
          (choice) =>
            choice.every((field) => columns[field] === undefined) &&
            !several.some(({ field }) => choice.includes(field)),
        )
        .map(([first]) => first),
      ...several.map(({ field }) => field),
    ],
    unread: headings.filter(
      (heading, column) => heading !== '' && !used.has(column) && byHand[heading] !== '',
    ),
  };
}
