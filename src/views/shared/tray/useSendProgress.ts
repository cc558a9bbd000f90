import { useQuery } from '@tanstack/react-query';
import { formatCount } from '../../../core/units';
import { api } from '../api';
import { timeLeft } from '../kit';

/** With fewer answers nobody can tell how long the rest takes. */
const LEAST_SHARE = 0.05;

/** How far the bale that is being sent is, and how long the rest takes: the market's answers are kept lot by lot. */
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
  const share = bale.changes > 0 ? answered / bale.changes : 0;
  const seconds = (Date.now() - Date.parse(bale.sentAt)) / 1000;
  const left = share > LEAST_SHARE && share < 1 ? ` · ${timeLeft((seconds / share) * (1 - share))}` : '';
  return { share, words: `${formatCount(answered)} of ${formatCount(bale.changes)} answered${left}` };
}
