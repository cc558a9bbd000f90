import { Stream } from '../chance/stream';
import type { Scenario, ScenarioProduct } from './scenario';
import { TARNBROOK } from './tarnbrook';

/** How large a made-up seller is. */
export interface SellerSize {
  key: string;
  accountName: string;
  products: number;
  days: number;
  tailQueries: number;
  itemQueries: number;
  headVolume: number;
  targetsPerProduct: number;
  unseenShare: number;
}

const MATERIALS = [
  'oak',
  'steel',
  'cotton',
  'glass',
  'linen',
  'copper',
  'bamboo',
  'felt',
  'cork',
  'slate',
  'wool',
  'clay',
  'brass',
  'pine',
  'jute',
  'tin',
];
const THINGS = [
  'tray',
  'basket',
  'lamp',
  'hook',
  'stool',
  'mug',
  'bowl',
  'rack',
  'shelf',
  'board',
  'box',
  'mat',
  'vase',
  'clock',
  'frame',
  'bin',
  'jug',
  'plate',
  'chest',
  'ladle',
  'whisk',
  'rug',
  'quilt',
  'apron',
  'kettle',
  'trivet',
  'coaster',
  'funnel',
  'sieve',
  'grater',
  'pan',
  'lid',
  'tongs',
  'bench',
  'peg',
  'rope',
  'bell',
  'gong',
  'kite',
  'drum',
];
const KINDS = [
  'folding',
  'wall',
  'round',
  'tall',
  'double',
  'garden',
  'travel',
  'stacking',
  'hanging',
  'corner',
];
const QUALITIES = [
  'large',
  'small',
  'black',
  'white',
  'natural',
  'set of 2',
  'set of 4',
  'heavy',
  'with handle',
  'washable',
  'rustic',
  'modern',
  'handmade',
  'thick',
  'light',
  'square',
  'oval',
  'painted',
];
const USES = [
  'for kitchen',
  'for bathroom',
  'for hallway',
  'for garden',
  'for kids',
  'for office',
  'for gifts',
  'for camping',
  'for balcony',
  'for small rooms',
  'for shop',
  'for picnic',
];
const STRAYS = ['repair', 'drawing', 'plans', 'song', 'game', 'costume', 'sticker', 'crossword'];

/** A made-up seller of household things, as large as asked for: the same from the same size on every machine. */
export function sizedScenario(size: SellerSize): Scenario {
  const random = new Stream(size.products * 7919 + size.days);
  return {
    ...TARNBROOK,
    ...size,
    movingListings: false,
    seed: size.products,
    brand: 'Marlock',
    rivals: ['Ostrick', 'Fennimore', 'Dalby', 'Quill & Rye', 'Peverell'],
    synonyms: [['mat', 'rug']],
    products: Array.from({ length: size.products }, (_, index) => makeProduct(index, random)),
  };
}

function makeProduct(index: number, random: Stream): ScenarioProduct {
  const thing = THINGS[index % THINGS.length];
  const material = MATERIALS[Math.floor(index / THINGS.length) % MATERIALS.length];
  const kind = KINDS[index % KINDS.length];
  return {
    name: `${material[0].toUpperCase()}${material.slice(1)} ${thing}, ${kind} ${index + 1}`,
    line: `Household ${1 + (index % 24)}`,
    price: Math.round(random.between(7, 70) * 10) / 10 - 0.01,
    conversion: random.between(0.04, 0.14),
    heads: [
      `${material} ${thing}`,
      `${kind} ${material} ${thing}`,
      `${thing} of ${material}`,
      `${material} ${thing} ${kind}`,
    ],
    qualities: QUALITIES,
    uses: USES,
    strays: STRAYS.slice(0, 3).map((stray) => `${thing} ${stray}`),
  };
}

/** For tests: built in a second. */
export const SMALL = sizedScenario({
  key: 'small',
  accountName: 'Marlock Household',
  products: 3,
  days: 40,
  tailQueries: 60,
  itemQueries: 8,
  headVolume: 120,
  targetsPerProduct: 30,
  unseenShare: 0.004,
});

/** 750 products, 3,000 campaigns, 100,000 targets, half a million search terms, 90 days. */
export const LARGE = sizedScenario({
  key: 'large',
  accountName: 'Marlock Warehouse',
  products: 750,
  days: 90,
  tailQueries: 620,
  itemQueries: 30,
  headVolume: 22,
  targetsPerProduct: 128,
  unseenShare: 0.004,
});
