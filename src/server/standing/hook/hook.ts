import type { HookInfo, HookRequest, NightTelling } from '../../../contract/rules';
import { MowingError } from '../../../contract/mowingError';
import { LEFT } from '../../../core/rules';
import { counted, microsToDecimal } from '../../../core/units';
import { keepHook, keepTold, readHook } from '../../../db/queries/hooks';
import { listNights, listRules } from '../../../db/queries/rules';
import type { NightRow } from '../../../db/queries/rules';
import { needAccount } from '../../accounts/accounts';
import { db } from '../../context/context';
import { MOWING, recorded } from '../../trail';
import type { Caller } from '../../trail';
import { postSigned } from './post';

/** Where an account's nights are told, without the secret. */
export async function loadHook(accountId: number): Promise<HookInfo> {
  await needAccount(accountId);
  const { hook, said } = await readHook(db(), accountId);
  return { url: hook?.url ?? null, hasSecret: hook !== null, said };
}

/** Keeps where nights are told; without a secret the old one stays. @throws MowingError for a first address without a secret */
export async function setHook(
  caller: Caller,
  { account: accountId, url, secret }: HookRequest,
): Promise<HookInfo> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const { hook } = await readHook(tx, accountId);
    const kept = secret ?? hook?.secret;
    if (url !== null && kept === undefined)
      throw new MowingError(
        'bad-request',
        'Say a secret too: by it the program that is told knows that it is Mowing.',
      );
    await keepHook(tx, accountId, url === null ? null : { url, secret: kept! });
    note({ what: 'set where nights are told', from: { url: hook?.url ?? null }, to: { url } });
  });
  return loadHook(accountId);
}

/** Tells the nights that were not told yet. @returns what came of it; null: there was nothing to tell */
export async function tellNights(accountId: number): Promise<string | null> {
  const account = await needAccount(accountId);
  const { hook, told } = await readHook(db(), accountId);
  if (hook === null) return null;
  const nights = (await listNights(db(), accountId)).filter(({ id }) => id > told);
  if (nights.length === 0) return null;
  const stopped = (await listRules(db(), accountId)).flatMap(({ rule, stoppedWhy }) =>
    stoppedWhy === null ? [] : [{ rule: rule.name, why: stoppedWhy }],
  );
  const telling: NightTelling = {
    account: { id: account.id, name: account.name, currency: account.currency },
    nights: nights.map(tellingOf),
    stopped,
  };
  try {
    await postSigned(hook.url, JSON.stringify(telling), hook.secret);
  } catch (error) {
    const said = (error as Error).message;
    await recorded(MOWING, accountId, (tx) => keepTold(tx, accountId, { said }));
    throw error;
  }
  const said = `${counted(nights.length, 'night')} told.`;
  const upTo = nights.reduce((most, { id }) => (id > most ? id : most), told);
  await recorded(MOWING, accountId, (tx) => keepTold(tx, accountId, { told: upTo, said }));
  return said;
}

function tellingOf(night: NightRow): NightTelling['nights'][number] {
  const { id, rule, day, state, sends, looked, made, accepted, refused, why, spend, sales, leftOut } = night;
  return {
    night: id,
    rule,
    day,
    state,
    sends,
    looked,
    changes: made,
    accepted,
    refused,
    spendPerMonth: microsToDecimal(Math.round(spend)),
    salesPerMonth: microsToDecimal(Math.round(sales)),
    why,
    left: leftOut.map(({ why: reason, count }) => ({ why: LEFT[reason], count })),
  };
}
