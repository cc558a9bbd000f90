import type { Swath } from '../../../contract/field';

type ReadyMade = Omit<Swath, 'id'> & { does: string };

/** They are looked at in whatever window is shown. */
const ANY_WINDOW = { from: null, to: null };

const LISTS: readonly Omit<ReadyMade, 'from' | 'to'>[] = [
  {
    name: 'Dead spend',
    lens: 'targets',
    conditions: ['judged=dead spend'],
    sort: '-spend',
    does: 'As the round judges: clicked, no order, and hardly a chance to reach what is needed.',
  },
  {
    name: 'Overpaying',
    lens: 'targets',
    conditions: ['judged=overpaying'],
    sort: '-loss',
    does: 'As the round judges: their bid is above what their clicks are worth.',
  },
  {
    name: 'Room to grow',
    lens: 'targets',
    conditions: ['judged=room to grow'],
    sort: '-sales',
    does: 'As the round judges: proven, and worth a higher bid.',
  },
  {
    name: 'Auto groups that lose',
    lens: 'auto',
    conditions: ['standing=losing'],
    sort: '-loss',
    does: 'Automatic groups above their target, by campaign.',
  },
  {
    name: 'Sold by something wider',
    lens: 'terms',
    conditions: ['orders>=2', 'vsTarget<=1', 'kind!=exact', 'kind!=item'],
    sort: '-sales',
    does: 'Sold on target, caught by something wider than themselves.',
  },
  {
    name: 'Terms without an order',
    lens: 'terms',
    conditions: ['orders<=0', 'standing=losing'],
    sort: '-spend',
    does: 'They lose, and nothing sold in this window; the round looks further back.',
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

/** Swaths that everybody starts with, in the order of the round. */
export const READY_MADE: readonly ReadyMade[] = LISTS.map((one) => ({ ...one, ...ANY_WINDOW }));
