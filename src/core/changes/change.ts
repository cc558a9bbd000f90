import { KINDS, specOf } from './kinds';
import type { Change } from './kinds';
import type { Accepted, ChangedPlace, FieldShape, Moves, SetValue, Stop, Touch } from './kinds/spec';
import type { AdParts } from './adParts';
import type { Made, Named } from './named';
import type { Finding, MarketLimits } from './limits';
import type { ChangePurpose } from './purposes';
import type { Standing } from './standing';
import type { MarketAct, MarketIds } from './towardsMarket';
import { microsToDecimal } from '../units';

/**
 * staged: in the tray. sending: handed to the market, answer not known yet. accepted / refused: the market's
 * answer. withdrawn: taken out of the tray before sending.
 */
export type ChangeState = 'staged' | 'sending' | 'accepted' | 'refused' | 'withdrawn';

/** Two changes with the same key would do the same thing to the same place, or move the same thing to two values. */
export const changeKey = (change: Change): string => specOf(change).key(change);

/** A change in plain words, without its place. */
export const describeChange = (change: Change): string => specOf(change).words(change);

/** What a change stands under in the tray. */
export const groupOf = (change: Change): string => specOf(change).group(change);

/** Which entities a change names: they have to be there for it to make sense. */
export const entitiesOf = (change: Change): Named => specOf(change).entities(change);

/** The number that a change sets, or null for one that sets none. */
export const setValueOf = (change: Change): SetValue | null => specOf(change).value?.read(change) ?? null;

/** Which bid, budget or modifier a change sets to what; null for one that sets none. */
export const movesOf = (change: Change): Moves | null => specOf(change).moves?.(change) ?? null;

/** The same change with another number to set; one that sets none stays as it is. */
export const withValue = (change: Change, to: number): Change =>
  specOf(change).value?.write(change, to) ?? change;

/** What stands now where a change sets something: micros, a share, a state; for what it made or ends, its state. */
export const presentOf = (change: Change, standing: Standing): number | string | null =>
  specOf(change).present(standing, change);

/** The same change decided from what stands there now. */
export const fromPresent = (change: Change, present: number | string | null): Change =>
  specOf(change).fromPresent?.(change, present) ?? change;

/** Whether what a change did stands no more: something else was set there since. @param present what stands there now */
export const isChangedSince = (change: Change, present: number | string | null): boolean =>
  specOf(change).isChangedSince(change, present);

/** The change that undoes an accepted one, or null when it cannot be undone. */
export const inverseOf = (change: Change, made: Made): Change | null => specOf(change).inverse(change, made);

/** What the market is going to refuse in a change, told before it is sent. Empty when nothing. */
export const checkChange = (change: Change, limits: MarketLimits): Finding[] =>
  specOf(change).check(change, limits);

/** Staged again it takes the new value, instead of being there already. */
export const isReplaced = (change: Change): boolean => specOf(change).sets !== null;

/** Whether a change makes something new. */
export const isMaking = (change: Change): boolean => specOf(change).makes !== null;

/** The ad group that what a change makes goes into; null for other changes. */
export const goesInto = (change: Change): number | null => specOf(change).goesInto?.(change) ?? null;

/** What a change pauses or ends; null for others. */
export const stopOf = (change: Change): Stop | null => specOf(change).stops?.(change) ?? null;

/** The words or item that a change keeps out, and where; null for others. */
export const blockOf = (change: Change) => specOf(change).blocks?.(change) ?? null;

/** What a change has an ad show; null for others. */
export const shownBy = (change: Change): AdParts | null => specOf(change).shows?.(change) ?? null;

/** What a change is for. @param step the step of the round that it came from */
export const purposeOf = (change: Change, step: string | undefined, isUndo: boolean): ChangePurpose =>
  isUndo ? 'other' : specOf(change).purpose(change, step);

/** The targets that a change works on, by itself or by where they stand. */
export const touchOf = (change: Change, place: ChangedPlace): Touch => specOf(change).touches(change, place);

/** A change's form towards a market; null where the market does not know what it names. */
export const toMarket = (change: Change, ids: MarketIds): MarketAct | null =>
  specOf(change).toMarket(change, ids);

/** What an accepted change makes of our own copy of the account. */
export const acceptedOf = (change: Change): Accepted => specOf(change).accepted(change);

const PRICES = ['price', 'minPrice', 'maxPrice'];
const pricesInDecimals = (value: Record<string, number> | null) =>
  value &&
  Object.fromEntries(
    Object.entries(value).map(([field, one]) => [field, PRICES.includes(field) ? microsToDecimal(one) : one]),
  );
const MONEY: readonly FieldShape[] = ['bid', 'bid or null', 'budget', 'budget or null'];

/** A change with its money as decimal strings, for files and for other programs. */
export function inDecimals(change: Change): { kind: Change['kind'] } & Record<string, unknown> {
  const shape: Record<string, FieldShape> = KINDS[change.kind].shape;
  return Object.fromEntries(
    Object.entries(change).map(([field, value]) => [
      field,
      MONEY.includes(shape[field]) && typeof value === 'number'
        ? microsToDecimal(value)
        : shape[field] === 'refinement' || shape[field] === 'listing'
          ? pricesInDecimals(value as Record<string, number> | null)
          : value,
    ]),
  ) as { kind: Change['kind'] } & Record<string, unknown>;
}
