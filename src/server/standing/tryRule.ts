import type { PastNight, TryAnswer, TryRequest } from '../../contract/rules';
import { describeChange } from '../../core/changes';
import { isDue, settleRules } from '../../core/rules';
import { indexTree } from '../../core/structure';
import { addDays } from '../../core/units';
import { keepTried, listRules } from '../../db/queries/rules';
import { needAccount } from '../accounts/accounts';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadTree } from '../field/loadTree';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { nightTold } from './runNight';
import { checkRule } from './checkRule';
import { guardsOf, noRule, triedText } from './rules';
import { isPastKnown, wantedBy } from './wanted';

/** Changes of a night that are told one by one. */
const MOST_TOLD = 50;

/**
 * What a rule would have done on each of the last nights, with what was known then: everything as it stood, later days left out, late orders
 * as far as they had come in. Each night is looked at by itself, as if the nights before had done nothing. Of a growth plan, what it would do
 * tonight.
 */
export async function tryRule(
  caller: Caller,
  { account: accountId, rule, id, nights, back }: TryRequest,
): Promise<TryAnswer> {
  const account = await needAccount(accountId);
  checkRule(rule, indexTree(await loadTree(accountId, { targets: 'none' })), account);
  const row = id === undefined ? undefined : (await listRules(db(), accountId)).find((one) => one.id === id);
  if (id !== undefined && !row) throw noRule(id);
  if (account.firstDay === null || account.lastDay === null)
    return { nights: [], why: 'There are no figures to look at yet.' };
  const guards = await guardsOf(accountId);
  const today = todayOf(account);
  const isPast = isPastKnown(rule);
  const first = account.firstDay;
  const days = isPast
    ? Array.from({ length: nights }, (_, at) => addDays(today, -back - at)).filter(
        // Every so many nights is counted from the first night on: here each is looked at by itself.
        (day) => day > first && isDue({ ...rule, until: null }, null, day),
      )
    : [today];
  const told: PastNight[] = [];
  for (const day of days) {
    const { looked, wanted } = await wantedBy(accountId, id, rule, isPast ? day : undefined);
    const settled = settleRules([{ rule, place: 0, wanted }], guards.most, { changes: 0, spend: 0 }).get(0)!;
    told.push({
      ...nightTold(looked, settled),
      day,
      changes: settled.goes.slice(0, MOST_TOLD).map(({ name, place, reason, list, moves }) => ({
        name,
        place,
        reason,
        words: moves ? `goes on: ${moves.to}` : list.map(({ change }) => describeChange(change)).join('; '),
      })),
    });
  }
  if (id !== undefined)
    await recorded(caller, accountId, async (tx, note) => {
      await keepTried(tx, accountId, id, triedText(rule));
      note({ what: 'try rule', subject: `rule ${id}`, to: { nights: told.length } });
    });
  return {
    nights: told,
    why: isPast
      ? null
      : 'What it would do tonight. What it goes by on earlier nights is not kept for this work.',
  };
}
