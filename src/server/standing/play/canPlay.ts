import type { Rule, RuleWork } from '../../../core/rules';
import type { AccountRow } from '../../../db/queries/accounts';

/** Works that a played market can show; of the others it knows too little. */
const PLAYED_WORKS: readonly RuleWork[] = ['dead', 'bids', 'budgets', 'growth'];

/** Whether a rule can be played: not what the simulation does not have, and not bids where all clicks cost one price. */
export const canPlay = ({ work }: Pick<Rule, 'work'>, { options }: Pick<AccountRow, 'options'>): boolean =>
  PLAYED_WORKS.includes(work) && (options?.clickPrice ?? null) === null;
