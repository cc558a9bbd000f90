import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { AdInfo, AdsAnswer, PictureInfo } from '../../../contract/ads';
import { partsText } from '../../../core/changes';
import type { AdParts } from '../../../core/changes';
import { api } from '../../shared/api';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';
import { adsApi } from './adsApi';

/** The ads of an account, the pictures that they can show, and what is done with them. */
export function useAds(account: AccountInfo) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account.id);
  const key = ['ads', account.id, account.revision];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => adsApi.ads(account.id),
    placeholderData: (before) => before,
  });
  const taken = (answer: AdsAnswer) => client.setQueryData(key, answer);
  /** Whether it went well; what did not is told. */
  const told = async (work: () => Promise<void>): Promise<boolean> => {
    try {
      await undo.during(work());
      return true;
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
      return false;
    }
  };
  return {
    data,
    error,
    /** @returns the new picture; null where it could not be added */
    addPicture: async (file: File): Promise<PictureInfo | null> => {
      let added: PictureInfo | null = null;
      await told(async () => {
        const answer = await adsApi.addPicture(account.id, file);
        taken(answer);
        added = answer.pictures[0] ?? null;
      });
      return added;
    },
    putPicture: ({ id, name }: PictureInfo, isRemoved: boolean) =>
      told(async () => {
        taken(await api.putPicture({ account: account.id, id, isRemoved }));
        undo.did({
          words: `“${name}” ${isRemoved ? 'was removed' : 'was restored'}`,
          undoing: { kind: 'picture', id, isRemoved: !isRemoved },
        });
      }),
    stage: (ad: AdInfo, to: AdParts) =>
      told(async () => {
        const { ids } = await api.stage(account.id, [
          {
            change: {
              kind: 'set-ad-parts',
              adId: ad.id,
              adGroupId: ad.adGroupId,
              from: partsText(ad),
              to: partsText(to),
            },
            reason: 'By hand.',
            figures: {},
            effect: { spend: 0, sales: 0 },
          },
        ]);
        undo.did({
          words: `what the ad of ${ad.product} shows was put to the tray`,
          undoing: { kind: 'take-out', ids: ids.filter((one) => one !== null) },
        });
        await client.invalidateQueries({
          predicate: ({ queryKey }) => ['ads', 'changes'].includes(String(queryKey[0])),
        });
      }),
  };
}

export type AdsState = ReturnType<typeof useAds>;
