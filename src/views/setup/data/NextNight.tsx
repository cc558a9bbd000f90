import type { AccountInfo } from '../../../contract/api';
import { counted, formatDay } from '../../../core/units';
import { pageLink } from '../../shared/frame/pages';
import { PlaceLink } from '../../shared/kit';
import { useRulesOf } from '../../shared/standing/useRulesOf';

/** When the account's rules work next, and what they did last. */
export function NextNight({ account }: { account: AccountInfo }) {
  const { data } = useRulesOf(account);
  const days = (data?.rules ?? []).flatMap(({ nextNight }) => nextNight ?? []).sort();
  if (!data || days.length === 0) return null;
  return (
    <p className="note">
      Rules work by night after the sync, next on {formatDay(days[0])}.
      {data.lastNight &&
        ` Last on ${formatDay(data.lastNight.day)}: ${counted(data.lastNight.made, 'change')}.`}{' '}
      <PlaceLink href={`${pageLink('standing', account.id)}&part=nights`}>Nights</PlaceLink>
    </p>
  );
}
