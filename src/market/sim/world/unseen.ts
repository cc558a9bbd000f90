import { mixSeeds, Stream } from '../chance/stream';
import { finish, tailText } from './queries';
import type { Query } from './query';
import type { World } from './world';

const ODDMENTS = [
  '2 pcs',
  '3 pack',
  'black',
  'white',
  'no plastic',
  'swedish',
  'for beginners',
  'xl',
  'mini',
  'with tap',
  'birthday',
  'as seen',
  'refill',
  'spare',
  'organic',
  'german',
];

/**
 * Searches of one day that nobody made before: a word more or another order than usual, each made once. About the
 * scenario's share of all searches; they sell like the long tail, or less.
 * @param day days since 1970
 */
export function unseenQueries(world: World, day: number): Query[] {
  const { scenario } = world;
  const random = new Stream(mixSeeds(scenario.seed, day, 77));
  const perProduct = totalVolume(world) / world.products.length;
  return world.products.flatMap((_, index) => {
    const product = scenario.products[index];
    const count = random.poisson(perProduct * scenario.unseenShare);
    return Array.from({ length: count }, () =>
      finish(
        scenario,
        index,
        {
          text: `${tailText(product, random)} ${random.pick(ODDMENTS)} ${random.next() < 0.5 ? random.pick(ODDMENTS) : ''}`.trim(),
          kind: 'unseen',
          volume: 1,
          clickRate: random.between(0.008, 0.035),
          conversion: product.conversion * random.between(0.1, 0.9),
        },
        random,
      ),
    );
  });
}

const volumes = new WeakMap<World, number>();

function totalVolume(world: World): number {
  let total = volumes.get(world);
  if (total === undefined) {
    total = world.queries.reduce((sum, { volume }) => sum + volume, 0);
    volumes.set(world, total);
  }
  return total;
}
