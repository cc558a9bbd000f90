import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { campaignSubject, targetSubject } from '../../../contract/aside';
import type { LensTable } from '../../../core/lenses';
import { lensNamed } from '../../../core/lenses';
import { api } from '../../shared/api';
import { AcceptLoss } from '../../shared/losses/AcceptLoss';

/** Accepts the loss of a row that is a target or a campaign; nothing for other rows. */
export function RowLoss({ account, table, row }: { account: AccountInfo; table: LensTable; row: number }) {
  const { entity } = lensNamed(table.lens);
  const isOf = entity === 'target' || entity === 'campaign';
  const { data } = useQuery({
    queryKey: ['losses', account.id, account.revision],
    queryFn: () => api.losses(account.id),
    enabled: isOf,
  });
  if (!isOf || !data) return null;
  const subject =
    entity === 'target' ? targetSubject(table.targetId[row]) : campaignSubject(table.campaignId[row]);
  const own = data.losses.find((one) => one.subject === subject && one.state !== 'ended');
  return (
    <div className="bar">
      <AcceptLoss account={account} subject={subject} what={`this ${entity}`} until={own?.until ?? null} />
    </div>
  );
}
