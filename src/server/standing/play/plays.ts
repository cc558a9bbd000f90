import type { PlayAnswer, PlayRequest } from '../../../contract/rules';
import { MowingError } from '../../../contract/mowingError';
import { listMembers } from '../../../db/queries/growth';
import { keepPlayed, listRules, readPlayed } from '../../../db/queries/rules';
import { needAccount } from '../../accounts/accounts';
import { db } from '../../context/context';
import { recorded } from '../../trail';
import type { Caller } from '../../trail';
import { noRule, triedText } from '../rules';
import { canPlay } from './canPlay';
import { likeOf } from './likeOf';
import { playApart } from './playApart';

/** Plays a rule as it stands on markets like what it works in, and keeps what that came to. */
export async function playRule(
  caller: Caller,
  { account: accountId, id, weeks, markets }: PlayRequest,
  tell: (done: number, of: number) => Promise<void> = async () => {},
): Promise<PlayAnswer> {
  const account = await needAccount(accountId);
  const row = (await listRules(db(), accountId)).find((one) => one.id === id);
  if (!row) throw noRule(id);
  if (!canPlay(row.rule, account))
    throw new MowingError('conflict', 'No market can be played for this work; try it on the past.');
  const { like, margin, clicks } = await likeOf(account, row.rule);
  const isNew = row.rule.growth !== null && (await listMembers(db(), accountId, id)).length === 0;
  const told = await playApart({ rule: row.rule, like, weeks, markets, margin, isNew }, tell);
  const kept = { ...told, asked: like, margin, clicks };
  await recorded(caller, accountId, async (tx, note) => {
    await keepPlayed(tx, accountId, id, triedText(row.rule), kept);
    note({ what: 'play rule', subject: `rule ${id}`, to: { weeks, markets } });
  });
  return loadPlayed(accountId, id);
}

/** What the last play of a rule came to; null: it was not played yet. */
export async function loadPlayed(accountId: number, id: number): Promise<PlayAnswer> {
  const row = (await listRules(db(), accountId)).find((one) => one.id === id);
  if (!row) throw noRule(id);
  const played = await readPlayed(db(), accountId, id);
  return { played: played ? { ...played, isAsItStands: row.played === triedText(row.rule) } : null };
}
