import { isDue } from '../../core/rules';
import type { Rule, RuleWork } from '../../core/rules';
import type { Policy } from '../policies';
import { bidNight } from './works/bidNight';
import { budgetNight } from './works/budgetNight';
import { handNight } from './works/handNight';
import { hourNight } from './works/hourNight';
import { newTermNight } from './works/newTermNight';
import type { NightMove, NightWork } from './works/nightMove';
import { placementNight } from './works/placementNight';
import { harvestNight, negativeNight } from './works/termNight';

/** What each work does in a night; a growth plan is played by itself. */
const NIGHTS: Record<Exclude<RuleWork, 'growth'>, () => NightWork> = {
  dead: () => bidNight,
  bids: () => bidNight,
  negatives: () => negativeNight,
  harvest: () => harvestNight,
  'new terms': newTermNight,
  'by hand': () => handNight,
  placements: () => placementNight,
  budgets: () => budgetNight,
  hours: () => hourNight,
};

/** A rule as it works on a played market, night by night, within its rails. */
export function rulePolicy(rule: Rule): Policy {
  const { work } = rule;
  if (work === 'growth') throw new Error('A growth plan is not played as a rule.');
  const night = NIGHTS[work]();
  let last: string | null = null;
  return (market, memory) => {
    if (!isDue(rule, last, market.today)) return;
    last = market.today;
    for (const { make } of withinRails(night(rule, market, memory), rule)) make();
  };
}

/** What has enough to show, as many as a night may have; less spend makes no room for more. */
function withinRails(
  moves: readonly NightMove[],
  { least, most }: Pick<Rule, 'least' | 'most'>,
): NightMove[] {
  let [count, spend] = [0, 0];
  return moves.filter(({ figures, spend: more }) => {
    if ((['clicks', 'impressions', 'orders'] as const).some((key) => figures[key] < least[key])) return false;
    if (count >= most.changes || (more > 0 && spend + more > most.spend)) return false;
    count += 1;
    spend += Math.max(0, more);
    return true;
  });
}
