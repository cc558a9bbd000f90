import { hoursWorth, proposeWeek, rhythmOf } from '../../../core/hours';
import { cellsOf } from '../../hoursTrial';
import { NO_FIGURES } from './nightMove';
import type { NightWork } from './nightMove';

/** Weeks that schedules are planned from. */
const WEEKS = 12;
/** A schedule that is followed already gives way to another once its hours differ by so many per cent on average. */
const WORTH_CHANGING = 3;

/** Campaigns follow the hours at which clicks sell, where that is worth it. */
export const hourNight: NightWork = (_rule, market) => {
  const { campaigns, schedules } = market.books;
  const cells = cellsOf(market, WEEKS);
  const rhythm = rhythmOf(cells);
  const worth = hoursWorth(cells, rhythm);
  if (!worth.isWorthIt) return [];
  const { week } = proposeWeek(
    { clicks: cells.clicks, spend: cells.clicks, factor: rhythm.factor },
    worth,
    false,
  );
  return campaigns.flatMap(({ id, state }) => {
    const followed = schedules.find((one) => one.campaignId === id && one.state === 'enabled');
    const apart = followed
      ? followed.week.reduce((sum, percent, at) => sum + Math.abs(percent - week[at]), 0) / week.length
      : Infinity;
    if (state !== 'enabled' || apart < WORTH_CHANGING) return [];
    return [
      {
        figures: NO_FIGURES,
        spend: 0,
        make: () => {
          if (followed) followed.state = 'archived';
          schedules.push({
            id: `S${schedules.length}`,
            campaignId: id,
            name: 'by night',
            week,
            state: 'enabled',
          });
        },
      },
    ];
  });
};
