import { adGroups } from './adGroups';
import { auto } from './auto';
import { campaigns } from './campaigns';
import { items } from './items';
import { keywords } from './keywords';
import { placements } from './placements';
import { products } from './products';
import { targets } from './targets';
import { terms } from './terms';

/** The lenses that are offered, in their order. A new one is a file beside these and a line here. */
const ALL = [keywords, items, auto, terms, placements, campaigns, adGroups, products, targets] as const;

export type LensName = (typeof ALL)[number]['name'];
export const LENS_NAMES = ALL.map(({ name }) => name);
export const SPECS = Object.fromEntries(ALL.map((spec) => [spec.name, spec])) as {
  [N in LensName]: Extract<(typeof ALL)[number], { name: N }>;
};
