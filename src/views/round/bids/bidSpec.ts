import type { BidStepName } from '../../../contract/review';
import type { MeasureKey } from '../../../core/measures';

/** What one step that tunes bids has of its own. */
export interface BidStepSpec {
  name: BidStepName;
  label: string;
  money: string;
  /** The measures that matter in it. */
  figures: readonly MeasureKey[];
  /** What is at stake in a row. */
  stake: { label: string; definition: string };
  /** Whether it has rows that are not proven yet, shown by themselves. */
  hasTesting?: boolean;
  /** What is left, in one sentence: how many, that in words, and the money with its currency. */
  sentence: (left: { left: number; count: string; money: string }) => string;
}
