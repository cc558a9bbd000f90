import type { ReportField, ReportKind } from '../../contract/reportFields';

/** A figure of a row: a count, or an amount of money in micros. */
export interface FigureSpec {
  field: ReportField;
  unit: 'count' | 'amount';
}

/**
 * What the rows of a kind of report are about. The place is the entity a row speaks of; the detail is what else tells its
 * rows of one day apart.
 */
export interface ReportSpec {
  kind: ReportKind;
  level: 'target' | 'campaign' | 'product';
  /** Ids that name the place where a report has all of them, and the texts that name it otherwise. */
  placeIds: ReportField[];
  placeNames: ReportField[];
  detail: 'term' | 'placement' | 'hour' | null;
  figures: FigureSpec[];
  /** Fields without which a row cannot be placed; of each group one will do. */
  required: ReportField[][];
}

const count = (field: ReportField): FigureSpec => ({ field, unit: 'count' });
const amount = (field: ReportField): FigureSpec => ({ field, unit: 'amount' });

const AD_FIGURES = [
  count('impressions'),
  count('clicks'),
  count('orders'),
  count('units'),
  amount('spend'),
  amount('sales'),
];
const AD_REQUIRED: ReportField[][] = [['impressions'], ['clicks'], ['spend'], ['orders'], ['sales']];
const CAMPAIGN: ReportField[] = ['campaign', 'campaignId'];
const AD_GROUP: ReportField[] = ['adGroup', 'adGroupId'];

const atTarget = {
  level: 'target',
  placeIds: ['campaignId', 'adGroupId', 'targetId'],
  placeNames: ['campaign', 'adGroup', 'target', 'match'],
} satisfies Partial<ReportSpec>;
const atCampaign = {
  level: 'campaign',
  placeIds: ['campaignId'],
  placeNames: ['campaign'],
} satisfies Partial<ReportSpec>;
const atProduct = {
  level: 'product',
  placeIds: ['itemCode'],
  placeNames: ['product'],
} satisfies Partial<ReportSpec>;

/** Every kind of report by day. */
export const REPORT_SPECS: Record<ReportKind, ReportSpec> = {
  terms: {
    kind: 'terms',
    ...atTarget,
    detail: 'term',
    figures: AD_FIGURES,
    required: [['day'], CAMPAIGN, AD_GROUP, ['term'], ...AD_REQUIRED],
  },
  targets: {
    kind: 'targets',
    ...atTarget,
    detail: null,
    figures: AD_FIGURES,
    required: [['day'], CAMPAIGN, AD_GROUP, ['target', 'targetId'], ...AD_REQUIRED],
  },
  placements: {
    kind: 'placements',
    ...atCampaign,
    detail: 'placement',
    figures: AD_FIGURES,
    required: [['day'], CAMPAIGN, ['placement'], ...AD_REQUIRED],
  },
  hours: {
    kind: 'hours',
    ...atCampaign,
    detail: 'hour',
    figures: AD_FIGURES,
    required: [['day'], ['hour'], CAMPAIGN, ...AD_REQUIRED],
  },
  sales: {
    kind: 'sales',
    ...atProduct,
    detail: null,
    figures: [
      count('orders'),
      count('units'),
      amount('sales'),
      count('refundedUnits'),
      amount('refundedSales'),
    ],
    required: [['day'], ['itemCode'], ['orders'], ['units'], ['sales']],
  },
  ranks: {
    kind: 'ranks',
    ...atProduct,
    detail: 'term',
    figures: [count('rank'), count('weeklySearches')],
    required: [['day'], ['itemCode'], ['term'], ['rank']],
  },
};

/** Texts that name the place of a row of this kind, in the order in which rows carry them. */
export const placeFields = ({ placeIds, placeNames }: ReportSpec): ReportField[] => [
  ...placeIds,
  ...placeNames,
];
