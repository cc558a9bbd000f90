import { useQuery } from '@tanstack/react-query';
import { formatCount } from '../../../core/units';
import { api } from '../api';

/** How far the bale that is being sent is: the market's answers are kept lot by lot. */
export function useSendProgress(account: number | undefined, isSending: boolean) {
  const { data } = useQuery({
    queryKey: ['bale-progress', account],
    queryFn: () => api.bales(account!),
    enabled: account !== undefined && isSending,
    refetchInterval: 500,
    gcTime: 0,
  });
  const bale = data?.find(({ state }) => state === 'sending');
  if (!isSending || !bale) return { share: 0, words: 'sending …' };
  const answered = bale.accepted + bale.refused;
  return {
    share: bale.changes > 0 ? answered / bale.changes : 0,
    words: `${formatCount(answered)} of ${formatCount(bale.changes)} answered`,
  };
}
