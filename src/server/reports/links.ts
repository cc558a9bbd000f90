import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import type { ReportContent } from '../../contract/report';
import { MowingError } from '../../contract/mowingError';
import { formatDay } from '../../core/units';
import { findAccount } from '../../db/queries/accounts';
import { deleteLink, findLink, findReport, insertLink, listLinks } from '../../db/queries/reports';
import type { LinkRow } from '../../db/queries/reports';
import { needComing } from '../aside/acceptLosses';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { needReport } from './needReport';

const SECRET_BYTES = 32;

/** The address of a link: its number, and what only its secret can sign. */
const pathOf = (link: Pick<LinkRow, 'id' | 'secret' | 'until' | 'reportId'>): string =>
  `/shared/${link.id}-${signatureOf(link)}`;

const signatureOf = ({
  id,
  secret,
  until,
  reportId,
}: Pick<LinkRow, 'id' | 'secret' | 'until' | 'reportId'>) =>
  createHmac('sha256', secret).update(`${id} ${reportId} ${until}`).digest('base64url');

/** Links of an account's reports that have not ended. */
export async function linksOf(
  accountId: number,
): Promise<{ id: number; reportId: number; until: string; path: string }[]> {
  const today = todayOf(await needAccount(accountId));
  return (await listLinks(db(), accountId))
    .filter(({ until }) => until >= today)
    .map((link) => ({ id: link.id, reportId: link.reportId, until: link.until, path: pathOf(link) }));
}

/** Makes a link that shows one report to whoever has it, to the end of a day. @throws MowingError where the day has passed */
export async function makeLink(
  caller: Caller,
  accountId: number,
  reportId: number,
  until: string,
): Promise<{ id: number; until: string; path: string }> {
  const today = todayOf(await needAccount(accountId));
  needComing(until, today);
  await needReport(accountId, reportId);
  const secret = randomBytes(SECRET_BYTES);
  return recorded(caller, accountId, async (tx, write) => {
    const id = await insertLink(tx, accountId, { reportId, secret, until });
    write({ what: 'share report', subject: `report ${reportId}`, to: { link: id, until: formatDay(until) } });
    return { id, until, path: pathOf({ id, secret, until, reportId }) };
  });
}

/** Takes a link back: who opens it is shown nothing from now on. */
export async function takeLinkBack(
  caller: Caller,
  accountId: number,
  id: number,
): Promise<{ removed: boolean }> {
  return recorded(caller, accountId, async (tx, write) => {
    const removed = await deleteLink(tx, accountId, id);
    if (removed) write({ what: 'take link back', subject: `link ${id}` });
    return { removed };
  });
}

/** The report that a link shows, and whose it is. Whatever is wrong with the link, the answer is the same. @throws MowingError 'not-found' */
export async function openLink(
  token: string,
): Promise<{ account: number; title: string; content: ReportContent }> {
  const [, id, signature] = /^(\d{1,9})-([\w-]{43})$/.exec(token) ?? [];
  const link = id === undefined ? undefined : await findLink(db(), Number(id));
  if (link && isSigned(link, signature)) {
    const account = await findAccount(db(), link.accountId);
    const report = await findReport(db(), link.accountId, link.reportId);
    if (account && report && link.until >= todayOf(account)) return { ...report, account: account.id };
  }
  throw new MowingError(
    'not-found',
    'This link shows nothing: it has ended, was taken back, or is not whole.',
  );
}

function isSigned(link: LinkRow, signature: string): boolean {
  const [own, given] = [Buffer.from(signatureOf(link)), Buffer.from(signature)];
  return own.length === given.length && timingSafeEqual(own, given);
}
