import { counted } from '../../units';
import { readParts } from '../adParts';
import type { ChangeSpec } from './spec';

/** Sets what an ad shows in turn in place of its product's own title and picture. */
export interface SetAdParts {
  kind: 'set-ad-parts';
  adId: number;
  adGroupId: number;
  /** As `partsText` writes them. */
  from: string | null;
  to: string | null;
}

const told = (text: string | null) => {
  const { titles, pictures } = readParts(text);
  return text === null
    ? 'its product’s own'
    : [
        ...(titles.length > 0 ? [counted(titles.length, 'title')] : []),
        ...(pictures.length > 0 ? [counted(pictures.length, 'picture')] : []),
      ].join(', ');
};
/** What is new is told by its words: two sets of as many titles look alike otherwise. */
const added = ({ from, to }: SetAdParts) => {
  const known = readParts(from).titles;
  const fresh = readParts(to).titles.filter((title) => !known.includes(title));
  return fresh.length > 0 ? ` (new: ${fresh.map((title) => `“${title}”`).join(', ')})` : '';
};

export const setAdParts: ChangeSpec<SetAdParts> = {
  kind: 'set-ad-parts',
  shape: { adId: 'id', adGroupId: 'id', from: 'ad parts', to: 'ad parts' },
  byRequest: true,
  key: ({ adId }) => `parts of ad ${adId}`,
  words: (change) => `The ad shows ${told(change.from)} → ${told(change.to)}${added(change)}`,
  group: () => 'What ads show',
  purpose: () => 'other',
  entities: ({ adId, adGroupId }) => ({ ad: adId, adGroup: adGroupId }),
  sets: 'parts',
  makes: null,
  present: ({ ad }) => ad?.parts ?? null,
  fromPresent: (change, present) => ({ ...change, from: typeof present === 'string' ? present : null }),
  isChangedSince: ({ to }, present) => present !== to,
  inverse: (change) => ({ ...change, from: change.to, to: change.from }),
  check: () => [],
  standsAlready: ({ to }, present) => (present === to ? 'The ad shows this already.' : null),
  idleWhenPaused: true,
  shows: ({ to }) => readParts(to),
  touches: ({ adGroupId }) => ({ adGroup: adGroupId }),
  toMarket: ({ adId, to }, ids) => {
    const id = ids.ad(adId);
    return id ? { do: 'update', entity: 'ads', id, fields: readParts(to) } : null;
  },
  accepted: ({ adId, to }) => ({ does: 'set', entity: 'ad', id: adId, values: { parts: to } }),
};
