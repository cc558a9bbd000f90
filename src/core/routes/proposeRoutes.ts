import { findHome } from './findHome';
import type { AdGroup, StructureIndex } from '../structure';
import { USUAL_START } from './route';
import type { Route } from './route';

/**
 * Routes as an account's structure suggests them: from each ad group that runs and looks for terms to the home of its product's words, and to
 * that of its items (see findHome).
 */
export function proposeRoutes(adGroups: readonly AdGroup[], structure: StructureIndex): Route[] {
  const sources = [...new Set(adGroups.map(({ productId }) => productId))].flatMap((productId) =>
    structure.researchAdGroups(productId),
  );
  return sources.flatMap((source): Route[] =>
    (['words', 'items'] as const).flatMap((takes): Route[] => {
      const home = findHome(source, takes === 'items', structure);
      if (!home) return [];
      const ends = { sourceId: source.id, takes, homeId: home.id };
      // Wherever else the product looks for terms would go on taking what the home is for.
      return [{ ...ends, match: 'exact', block: 'research', asks: null, start: USUAL_START }];
    }),
  );
}
