import type { RankKey } from './keys';
import { extra } from './numberField';
import type { NumberField } from './numberField';

/** What the list of organic ranks says of a product's term. */
export const RANK_FIELDS: readonly (NumberField & { key: RankKey })[] = [
  extra(
    'rank.now',
    'Rank',
    'count',
    1,
    'Organic rank: mean of the last seven days that were told (geometric).',
  ),
  extra('rank.before', 'Rank before', 'count', 1, 'The same over the seven days before the compared ones.'),
  extra('rank.up', 'Places up', 'count', 1, 'Rank before − rank: above zero it went up.'),
  extra('rank.change', 'Rank ±', 'share', 0, 'Rank ÷ rank before − 1: above zero it lost places.'),
  extra('rank.searches', 'Searches', 'count', 0, 'Searches a week, as the market last told them.'),
  extra('rank.spendChange', 'Spend ± share', 'share', 0, 'Spend ÷ spend of as many days before − 1.'),
  extra(
    'rank.organic',
    'Organic sales',
    'money',
    0,
    'Sales a month that the rank brings without ads, estimated: searches × share of shoppers at the rank × conversion × order value.',
  ),
  extra(
    'rank.adShare',
    'Ad share',
    'share',
    0,
    'Ad sales ÷ (ad sales + estimated organic sales) of the term, a month.',
  ),
  extra('rank.holdCost', 'Cost to hold', 'money', 0, 'Spend a month at the pace of the compared days.'),
  extra(
    'rank.holds',
    'Holds',
    'money',
    0,
    'Organic sales a month that would be lost in eight weeks without its ad orders, estimated.',
  ),
  extra(
    'rank.holdPays',
    'Holds ÷ cost',
    'factor',
    1,
    'Organic sales that its ad orders hold, per money spent.',
  ),
  extra(
    'rank.gainCost',
    'Cost to gain',
    'money',
    0,
    'Further spend a month for the ad orders that halve the rank number in eight weeks, estimated.',
  ),
  extra(
    'rank.gains',
    'Gains',
    'money',
    0,
    'Organic sales a month that half the rank number adds, estimated.',
  ),
  extra('rank.gainPays', 'Gains ÷ cost', 'factor', 1, 'Organic sales added per money spent on gaining.'),
];
