import { smallest } from '../order';
import { PLACEMENT_LABELS, PLACEMENTS } from '../structure';
import { formatCount, formatMoney, formatShare } from '../units';
import { boundsText } from './asks';
import type { PlacementAt, PlacementProposal } from './proposal';

const REST = PLACEMENTS.indexOf('rest');
/** What a reason is told from. */
type Told = Omit<PlacementProposal, 'campaign'>;
const times = (value: number) => value.toFixed(2);

/** Why a campaign's modifiers are proposed, or why none are, with the numbers that tell. */
export function placementReason(proposal: Told): string {
  const { left, placements, clicks, bases, now, after } = proposal;
  const held = boundsText(placements.map((one) => one.held ?? null));
  if (left !== null) return `${WHY_LEFT[left](proposal)}${held}`;
  const moves = placements.flatMap((one, at) => (one.to === one.from ? [] : [moveText(one, at, placements)]));
  const own = `${formatCount(Math.round(clicks))} clicks`;
  return `${own}; ${moves.join('; ')}. ${basesText(bases)}: the month’s spend stays, sales go up by about ${formatMoney(Math.max(0, after.sales - now.sales))}.${held}`;
}

function moveText(one: PlacementAt, at: number, placements: readonly PlacementAt[]): string {
  const { from, to, wanted, worth } = one;
  const label = PLACEMENT_LABELS[PLACEMENTS[at]];
  const value =
    at === REST
      ? `a click at rest of search is worth ${times(1 / leastWorth(placements))} of the least one`
      : `a click at ${label} is worth ${times(worth.ratio)} of one in the rest (${times(worth.low)}–${times(worth.high)})`;
  const step =
    Math.abs(wanted - to) > 0.015 ? `, one step of the ${formatShare(wanted, 0)} that is wanted` : '';
  return `${value}: ${label} ${formatShare(from, 0)} → ${formatShare(to, 0)}${step}`;
}

const leastWorth = (placements: readonly PlacementAt[]) =>
  smallest(placements.map(({ worth }) => worth.ratio));

const basesText = (bases: number) =>
  Math.abs(bases - 1) < 0.005
    ? 'Base bids stay'
    : `Base bids go ${bases < 1 ? 'down' : 'up'} by ${formatShare(Math.abs(bases - 1), 0)}`;

const WHY_LEFT: Record<NonNullable<PlacementProposal['left']>, (proposal: Told) => string> = {
  'not running': () => 'Nothing in it runs.',
  'not offered': () => 'Its market sets no bids by placement.',
  'not known': () =>
    'Its modifiers were never told. Import its campaigns with their modifiers; 0 % where it has none.',
  'no clicks': () => 'No clicks of the last weeks tell what its placements are worth.',
  'not sure': ({ placements }) =>
    `It is not sure that one placement is the better one: ${placements.flatMap(({ worth }, at) => (at === REST ? [] : [`${PLACEMENT_LABELS[PLACEMENTS[at]]} ${times(worth.low)}–${times(worth.high)} of the rest`])).join(', ')}.`,
  held: () => 'It is held where it stands.',
  'as wanted': () => 'Its modifiers stand where its clicks want them.',
};
