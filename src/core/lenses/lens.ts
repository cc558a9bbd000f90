import type { LensName } from './specs';
import { LENS_NAMES, SPECS } from './specs';
import type { LensSpec } from './specs/spec';

export { LENS_NAMES };
export type { LensName };
export type { IdColumn, LensEntity, LensGrain, LensValue } from './specs/spec';

/** A lens as data; see specs. */
export type Lens = Omit<LensSpec<LensName>, 'below'> & {
  below: Omit<LensSpec['below'], 'lenses'> & { lenses: readonly LensName[] };
};

/** In the order in which they are offered. */
export const LENSES: readonly Lens[] = LENS_NAMES.map((name) => SPECS[name] as Lens);

/** The lens with this name. */
export const lensNamed = (name: LensName): Lens => SPECS[name] as Lens;
