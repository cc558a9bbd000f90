import type { TreeIndex } from '../../core/structure';
import { normaliseTerm } from '../../core/matching';
import type { Found } from './types';

const MOST_OF_A_KIND = 6;

/** Everything in an account whose name holds all words of a text: whole beginnings first, a few of each kind. */
export function findInTree(index: TreeIndex, terms: Iterable<string>, text: string): Found[] {
  const words = normaliseTerm(text).split(' ').filter(Boolean);
  if (words.length === 0) return [];
  const holds = (name: string) => {
    const form = normaliseTerm(name);
    return words.every((word) => form.includes(word)) ? form : null;
  };
  const some = <T>(items: Iterable<T>, nameOf: (item: T) => string, toFound: (item: T) => Found): Found[] => {
    const found: { form: string; one: T }[] = [];
    for (const one of items) {
      const form = holds(nameOf(one));
      if (form !== null) found.push({ form, one });
    }
    const rank = (form: string) => (form.startsWith(words[0]) ? 0 : 1) * 1000 + form.length;
    return found
      .sort((a, b) => rank(a.form) - rank(b.form))
      .slice(0, MOST_OF_A_KIND)
      .map(({ one }) => toFound(one));
  };
  const { tree, campaigns, adGroups, lines } = index;
  const placeOf = (adGroupId: number) => {
    const adGroup = adGroups.get(adGroupId);
    return `${campaigns.get(adGroup?.campaignId ?? 0)?.name ?? ''} › ${adGroup?.name ?? ''}`;
  };
  return [
    ...some(
      tree.products,
      ({ name, itemCode }) => `${name} ${itemCode}`,
      ({ id, name, lineId }) => ({
        kind: 'product',
        name,
        place: lines.get(lineId ?? 0) ?? '',
        scope: { kind: 'product', id },
      }),
    ),
    ...some(
      tree.campaigns,
      ({ name }) => name,
      ({ id, name, state }) => ({
        kind: 'campaign',
        name,
        place: state === 'enabled' ? '' : state,
        scope: { kind: 'campaign', id },
      }),
    ),
    ...some(
      tree.adGroups,
      ({ name }) => name,
      ({ id, name, campaignId }) => ({
        kind: 'ad group',
        name,
        place: campaigns.get(campaignId)?.name ?? '',
        scope: { kind: 'ad-group', id },
      }),
    ),
    ...some(
      tree.targets.filter(({ state }) => state !== 'archived'),
      ({ expression }) => expression,
      ({ id, kind, expression, match, adGroupId }) => ({
        kind: kind === 'keyword' ? 'keyword' : 'target',
        name: match ? `${expression} (${match})` : expression,
        place: placeOf(adGroupId),
        scope: { kind: 'target', id },
      }),
    ),
    ...some(
      terms,
      (term) => term,
      (term) => ({ kind: 'search term', name: term, place: '', scope: null, term }),
    ),
  ];
}
