import type { AdsAnswer } from '../../../contract/ads';
import { ask, query } from '../../shared/ask';

/** What the part asks about ads. Pictures are put and taken back by the shared api: undo needs that too. */
export const adsApi = {
  ads: (account: number) => ask<AdsAnswer>(`/api/ads?${query({ account })}`),
  addPicture: (account: number, file: File) =>
    ask<AdsAnswer>(`/api/ads/picture?${query({ account, name: file.name })}`, { method: 'POST', body: file }),
};

/** Where a picture's bytes are. */
export const pictureUrl = (account: number, id: string) => `/api/ads/picture?${query({ account, id })}`;
