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
  const perProduct = usualVolume(world);
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

/** Searches a day around one of the products that are advertised from the beginning. */
function usualVolume(world: World): number {
  let usual = volumes.get(world);
  if (usual === undefined) {
    const old = world.scenario.products.map(({ isNew }) => !isNew);
    const total = world.queries.reduce(
      (sum, { volume, product, kind }) => sum + (old[product] && kind !== 'own item' ? volume : 0),
      0,
    );
    usual = total / old.filter(Boolean).length;
    volumes.set(world, usual);
  }
  return usual;
}
