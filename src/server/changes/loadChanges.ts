import { inverseOf } from '../../core/changes';
import type { ChangeState } from '../../core/changes';
import type { BaleInfo, ChangeInfo } from '../../contract/changes';
import { listBales } from '../../db/queries/bales';
import { db } from '../context/context';
import { listChanges, madeOf } from './listChanges';
import type { StandingChange } from './listChanges';

function changeInfo(row: StandingChange): ChangeInfo {
  const {
    key: _key,
    listId,
    effectSpend,
    effectSales,
    madeTargetId: _target,
    madeNegativeId: _negative,
    madeScheduleId: _schedule,
    undone,
    campaign,
    ...rest
  } = row;
  const inverse = inverseOf(row.change, madeOf(row));
  return {
    ...rest,
    campaign: campaign ?? 'unknown campaign',
    carries: listId === null ? {} : { listId },
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
