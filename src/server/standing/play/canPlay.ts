import type { Rule } from '../../../core/rules';
import type { AccountRow } from '../../../db/queries/accounts';

/** Whether a rule can be played: not where all clicks cost one price, and hours only where bids may follow them both ways. */
export const canPlay = ({ work }: Pick<Rule, 'work'>, { options }: Pick<AccountRow, 'options'>): boolean =>
  (options?.clickPrice ?? null) === null && (work !== 'hours' || options?.schedules === true);
