import { asJson } from '../../src/contract/packed';
import type { AsJson } from '../../src/contract/packed';

/** An answer as a script is told it: its columns are plain lists. */
export const told = <T extends object>(answer: T): AsJson<T> => JSON.parse(asJson(answer)) as AsJson<T>;
