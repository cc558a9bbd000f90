import { inverseOf } from '../../core/changes';
import type { ChangeState } from '../../core/changes';
import type { BaleInfo, ChangeInfo } from '../../contract/changes';
import { listBales } from '../../db/queries/bales';
import { listChanges } from '../../db/queries/changes';
import type { ChangeRow } from '../../db/queries/changes';
import { db } from '../context/context';

function changeInfo(row: ChangeRow): ChangeInfo {
  const {
    key: _key,
    effectSpend,
    effectSales,
    madeTargetId,
    madeNegativeId,
    undone,
    campaign,
    ...rest
  } = row;
  const inverse = inverseOf(row.change, { targetId: madeTargetId, negativeId: madeNegativeId });
  return {
    ...rest,
    campaign: campaign ?? 'unknown campaign',
    effect: { spend: effectSpend, sales: effectSales },
    undoable: row.state === 'accepted' && !undone && inverse !== null,
  };
}

export async function loadChanges(
  accountId: number,
  only: { state?: ChangeState; baleId?: number },
): Promise<ChangeInfo[]> {
  return (await listChanges(db(), accountId, only)).map(changeInfo);
}

export async function loadBales(accountId: number): Promise<BaleInfo[]> {
  return listBales(db(), accountId);
}
