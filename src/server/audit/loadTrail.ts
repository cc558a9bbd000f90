import { listAudit } from '../../db/queries/audit';
import type { AuditLine } from '../../db/queries/audit';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';

/** Who did what to an account, newest first. */
export async function loadTrail(accountId: number): Promise<{ lines: AuditLine[] }> {
  await needAccount(accountId);
  return { lines: await listAudit(db(), accountId) };
}
