import { matchForm } from '../matching';
import type { NegativeMatch } from '../matching';
import type { Negative } from '../structure';
import type { NegativeList } from './reach';

/** A negative of a list in one of its campaigns. */
export interface ListPlace {
  campaignId: number;
  match: NegativeMatch;
  expression: string;
}

/** Where a list holds, where it does not yet, and what it left behind. */
export interface ListStanding {
  /** Not negative in the whole campaign yet. */
  missing: ListPlace[];
  /** How many of the list's terms hold, by campaign; and in how many campaigns they do, by the term's place in the list. */
  byCampaign: Map<number, number>;
  byTerm: number[];
  /** Negatives that the list made and that it no longer asks for: the term or the campaign was taken off. */
  excess: Negative[];
}

/**
 * How a list stands in an account: each of its terms counts as held in a campaign that has the same negative (by match and form) for the whole
 * campaign, whoever made it. @param made ids of negatives that the list made
 */
export function listStanding(
  list: Pick<NegativeList, 'terms' | 'campaignIds'>,
  negatives: readonly Negative[],
  made: ReadonlySet<number>,
): ListStanding {
  const key = (campaignId: number, { match, expression }: Pick<Negative, 'match' | 'expression'>) =>
    `${campaignId} ${match} ${matchForm(expression)}`;
  const whole = negatives.filter(({ adGroupId, state }) => adGroupId === null && state !== 'archived');
  const stands = new Set(whole.map((one) => key(one.campaignId, one)));
  const standing: ListStanding = {
    missing: [],
    byCampaign: new Map(list.campaignIds.map((id) => [id, 0])),
    byTerm: list.terms.map(() => 0),
    excess: [],
  };
  const wanted = new Set<string>();
  for (const campaignId of list.campaignIds)
    list.terms.forEach((term, at) => {
      const own = key(campaignId, term);
      wanted.add(own);
      if (!stands.has(own)) return standing.missing.push({ campaignId, ...term });
      standing.byCampaign.set(campaignId, standing.byCampaign.get(campaignId)! + 1);
      return (standing.byTerm[at] += 1);
    });
  standing.excess = whole.filter((one) => made.has(one.id) && !wanted.has(key(one.campaignId, one)));
  return standing;
}
