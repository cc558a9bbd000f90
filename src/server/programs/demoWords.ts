import type { WordLists } from '../../core/matching';
import { replaceWordLists } from '../../db/queries/wordLists';
import { db } from '../context/context';

/** Brands that shoppers of the demo's markets name; made up. */
const BRANDS: Record<string, Pick<WordLists, 'own' | 'rival'>> = {
  tarnbrook: { own: ['Tarnbrook'], rival: ['Saltwell', 'Crockholm', 'Brinewick', 'Jarrow & Fen'] },
  fernhollow: { own: ['Fernhollow'], rival: ['Quillan', 'Marbeck', 'Ledger Lane'] },
  hollin: { own: ['Hollin'], rival: ['Gustaway', 'Skylark & Sons', 'Airdale'] },
};

/** Gives a demo account the lists by which its terms are told apart. @param key of its scenario */
export async function keepDemoWords(accountId: number, key: string): Promise<void> {
  if (key in BRANDS)
    await db().begin((tx) => replaceWordLists(tx, accountId, { ...BRANDS[key], unwanted: [] }));
}
