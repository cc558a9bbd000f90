import type { StepName } from '../../../contract/review';
import type { MeasureKey } from '../../../core/measures';
import type { StepSummary } from '../../../plans/terms';

/** What one step that goes through search terms has of its own. */
export interface TermStepSpec {
  name: StepName;
  label: string;
  money: string;
  /** The measures that matter in it. */
  figures: readonly MeasureKey[];
  /** What is left, in one sentence. */
  sentence: (summary: StepSummary, currency: string) => string;
}
