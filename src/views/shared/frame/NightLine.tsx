import Alert from '@mui/material/Alert';
import type { AccountInfo } from '../../../contract/api';
import { counted, formatDay } from '../../../core/units';
import { PlaceLink } from '../kit';
import { useRulesOf } from '../standing/useRulesOf';
import { useRemembered } from '../useRemembered';
import { pageLink } from './pages';

/** What the rules did in the last night, on every page until it is put away or looked at. */
export function NightLine({ account }: { account: AccountInfo | undefined }) {
  const { data } = useRulesOf(account);
  const [seen, setSeen] = useRemembered<Record<number, number>>('nights-seen', {});
  const night = data?.lastNight;
  const isNew =
    account !== undefined && night != null && night.made > 0 && night.id > (seen[account.id] ?? 0);
  const putAway = () => {
    if (isNew) setSeen({ ...seen, [account.id]: night.id });
  };
  return (
    <div>
      {isNew && (
        <Alert severity="info" square onClose={putAway} sx={{ padding: '0 16px' }}>
          {counted(night.rules, 'rule')} looked on {formatDay(night.day)}: {counted(night.made, 'change')}
          {night.sent > 0
            ? `, ${night.sent === night.made ? 'all' : counted(night.sent, 'change')} sent`
            : ' put to the tray'}
          .{' '}
          <PlaceLink href={`${pageLink('standing', account.id)}&part=nights`} onClick={putAway}>
            Look at the night
          </PlaceLink>
        </Alert>
      )}
    </div>
  );
}
