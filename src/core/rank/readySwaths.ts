/** Stacks of conditions that are asked for again and again, as in a link. */
export const RANK_SWATHS = [
  {
    key: 'losing',
    label: 'Losing rank',
    does: 'The rank number grew by a quarter or more',
    conditions: ['rank.change>=25'],
  },
  {
    key: 'cut',
    label: 'Spend fell, then rank',
    does: 'Spend fell by a third or more, and the rank after it',
    conditions: ['rank.spendChange<=-33', 'rank.change>=15'],
  },
  {
    key: 'alone',
    label: 'Holds without spend',
    does: 'No spend, and the rank stays within a tenth',
    conditions: ['spend<=0', 'rank.change<=10', 'rank.now<=50'],
  },
  {
    key: 'defend',
    label: 'Worth defending',
    does: 'Sales without ads that its ad orders hold are at least its spend',
    conditions: ['rank.holdPays>=1', 'rank.now<=30'],
  },
  {
    key: 'cheap',
    label: 'Cheap to gain',
    does: 'Twice as far up would sell more without ads than it costs',
    conditions: ['rank.gainPays>=1', 'rank.now>=4'],
  },
] as const;
