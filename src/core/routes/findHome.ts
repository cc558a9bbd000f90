import { normaliseTerm, wordsOf } from '../matching';
import type { AdGroup, StructureIndex } from '../structure';

/**
 * The ad group where a sold term is to be bid on. Best first: a home that advertises the same product; one in
 * the same campaign; the one whose campaign and ad group names share most words with the source's. Null when
 * nothing fits: then the specialist chooses.
 */
export function findHome(source: AdGroup, isItem: boolean, structure: StructureIndex): AdGroup | null {
  // Where no ad group holds items alone, one that holds some is the next best.
  const all = isItem ? [...structure.itemHomes, ...structure.itemPlaces] : structure.wordHomes;
  const homes = all.filter((home) => home.id !== source.id);
  const sameProduct = homes.find((home) => home.productId !== null && home.productId === source.productId);
  if (sameProduct) return sameProduct;
  const sameCampaign = homes.find((home) => home.campaignId === source.campaignId);
  if (sameCampaign) return sameCampaign;
  const named = homes.filter((home) => home.productId === null || source.productId === null);
  return bestByName(source, named, structure);
}

function bestByName(source: AdGroup, homes: AdGroup[], structure: StructureIndex): AdGroup | null {
  const words = new Set(nameWords(source, structure));
  let best: AdGroup | null = null;
  let most = 0;
  for (const home of homes) {
    const shared = nameWords(home, structure).filter((word) => words.has(word)).length;
    if (shared > most) [best, most] = [home, shared];
  }
  return best;
}

/** Words that tell how a campaign works say nothing about its product. */
const WORKINGS = new Set([
  'auto',
  'broad',
  'phrase',
  'exact',
  'research',
  'home',
  'items',
  'campaign',
  'manual',
]);

function nameWords(adGroup: AdGroup, structure: StructureIndex): string[] {
  const campaign = structure.campaign(adGroup.campaignId)?.name ?? '';
  const words = wordsOf(normaliseTerm(`${campaign} ${adGroup.name}`));
  return [...new Set(words)].filter((word) => word.length > 2 && !WORKINGS.has(word));
}
