// The proposals of a step of the round, as scripts and nights get them. Money as decimal strings in the account's currency ("0.42").
import type { BidSettings, Pace } from '../core/bids';
import type { ChangeKind } from '../core/changes';
import type { EvidenceGrade } from '../core/evidence';
import type { RoundStep } from './review';

export interface PlanRequest {
  account: number;
  step: RoundStep;
  from?: string;
  to?: string;
  /** Target ACOS of the account, tried instead of its own; share. */
  target?: number;
  pace?: Pace | 'own';
  aim?: BidSettings['aim'];
}

/** Money as a decimal string; null where it is not known. */
export type Amount = string;

/** What a month is expected to change by. `profit` and `clicks` null where they are not known. */
export interface ExpectedChange {
  clicks: number | null;
  spend: Amount;
  sales: Amount;
  profit: Amount | null;
}

/** A change with its money as decimal strings. */
export type ToldChange = { kind: ChangeKind } & Record<string, unknown>;

export interface PlanProposal {
  /** What the proposal is on. A target's or a campaign's id is its number, a search term's "adGroupId:termId". */
  subject: {
    kind: 'target' | 'term' | 'campaign';
    id: number | string;
    name: string;
    campaign: string;
    adGroup: string;
  };
  /** The bid or budget now and the proposed one; null where there is none, as for modifiers. */
  from: Amount | null;
  to: Amount | null;
  /** What accepting it stages; null for a harvest that has no home yet. */
  change: ToldChange | null;
  /** What is staged with it: the negatives of a harvest, the other places of a negative. */
  also: ToldChange[];
  reason: string;
  /** How sure the estimate is. */
  evidence: EvidenceGrade;
  /** What the subject did in the window. */
  figures: {
    impressions: number;
    clicks: number;
    orders: number;
    spend: Amount;
    sales: Amount;
    acos: number | null;
  };
  expected: ExpectedChange;
}

export interface PlanAnswer {
  step: RoundStep;
  window: { from: string; to: string };
  settings: Record<string, unknown>;
  summary: { count: number; spend: Amount; sales: Amount; profit: Amount | null };
  proposals: PlanProposal[];
}

export interface AcceptRequest extends PlanRequest {
  accept: 'all' | (number | string)[];
}

/** What was staged of a plan, and what was not: ids that it does not propose (any more), or that have no home, or are staged already. */
export interface AcceptAnswer {
  staged: number[];
  notStaged: { id: number | string; why: string }[];
}
