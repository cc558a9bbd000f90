import type { Swath } from '../../../contract/field';

type ReadyMade = Omit<Swath, 'id'> & { does: string };

/** Swaths that everybody starts with, in the order of the round. */
export const READY_MADE: readonly ReadyMade[] = [
  {
    name: 'Dead spend',
    lens: 'keywords',
    conditions: ['orders<=0', 'standing=losing'],
    sort: '-spend',
    does: 'No order, and enough clicks to say that the target is out of reach.',
  },
  {
    name: 'Overpaying',
    lens: 'keywords',
    conditions: ['orders>=1', 'standing=losing'],
    sort: '-loss',
    does: 'They sell but cost more than their target allows; the costliest first.',
  },
  {
    name: 'Room to grow',
    lens: 'keywords',
    conditions: ['orders>=2', 'standing=earning', 'state=enabled'],
    sort: '-sales',
    does: 'Well below their target, with enough orders.',
  },
  {
    name: 'Auto groups that lose',
    lens: 'auto',
    conditions: ['standing=losing'],
    sort: '-loss',
    does: 'Automatic groups above their target, by campaign.',
  },
  {
    name: 'Terms to harvest',
    lens: 'terms',
    conditions: ['orders>=2', 'vsTarget<=1', 'kind!=exact', 'kind!=item'],
    sort: '-sales',
    does: 'Sold on target, caught by something wider than themselves.',
  },
  {
    name: 'Terms that had their chance',
    lens: 'terms',
    conditions: ['orders<=0', 'standing=losing'],
    sort: '-spend',
    does: 'No order after more clicks than one usually takes.',
  },
  {
    name: 'Placements that lose',
    lens: 'placements',
    conditions: ['standing=losing'],
    sort: '-loss',
    does: 'Where a campaign pays more than its target allows.',
  },
  {
    name: 'Campaigns to feed',
    lens: 'campaigns',
    conditions: ['standing=earning', 'state=enabled'],
    sort: '-spend',
    does: 'On target: is the budget holding them back?',
  },
  {
    name: 'Changed lately',
    lens: 'keywords',
    conditions: ['age<=14'],
    sort: 'age',
    does: 'Changed here in the last 14 days: wait, or see what it did.',
  },
];
