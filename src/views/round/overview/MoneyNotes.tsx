import type { AccountInfo } from '../../../contract/api';
import { useMoney } from '../../shared/money/useMoney';

/** What is to be looked after in the account's money; what is urgent stands in the frame already. */
export function MoneyNotes({ account }: { account: AccountInfo }) {
  const { data } = useMoney(account);
  const rest = (data?.warnings ?? []).filter(({ isUrgent }) => !isUrgent);
  if (rest.length === 0) return null;
  return <p className="note">{rest.map(({ sentence }) => sentence).join(' ')}</p>;
}
