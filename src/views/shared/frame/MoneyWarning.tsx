import type { AccountInfo } from '../../../contract/api';
import { useMoney } from '../money/useMoney';
import { WarningLine } from './WarningLine';

/** What is urgent in the account's money. */
export function MoneyWarning({ account }: { account: AccountInfo | undefined }) {
  const { data } = useMoney(account);
  const urgent = (data?.warnings ?? []).filter(({ isUrgent }) => isUrgent);
  return <WarningLine key={account?.id} told={urgent.map(({ sentence }) => sentence).join(' ')} />;
}
