import type { Aside } from '../../../contract/aside';
import { formatDay } from '../../../core/units';

/** Why a campaign is not proposed. */
export const asideWords = ({ verdict, until }: Pick<Aside, 'verdict' | 'until'>): string =>
  `${verdict === 'later' ? 'Put off' : 'Left as it is'} until ${formatDay(until)}`;
