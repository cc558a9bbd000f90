import type { MarketAnswer, MarketChange, OwnKind } from '../../../contract/market';
import { normaliseTerm } from '../../../core/matching';
import type { MarketDb, MarketTx } from '../connection';
import { columnValue, ENTITY_TABLES } from '../tables';
import { checkFields } from './check';
import type { Rules } from './check';
import { refused } from './facts';
import type { Refusal } from './facts';

/** Targets, and negatives, of an ad group at most where the market’s options do not say. */
const MOST = 1000;
/** Kinds that stand in another one, and by which field. */
const PARENTS: Partial<Record<OwnKind, { field: string; kind: OwnKind; word: string }>> = {
  'ad-groups': { field: 'campaignId', kind: 'campaigns', word: 'campaign' },
  ads: { field: 'adGroupId', kind: 'ad-groups', word: 'ad group' },
  targets: { field: 'adGroupId', kind: 'ad-groups', word: 'ad group' },
  negatives: { field: 'campaignId', kind: 'campaigns', word: 'campaign' },
  schedules: { field: 'campaignId', kind: 'campaigns', word: 'campaign' },
};

/**
 * Carries out a batch in one transaction, each change accepted or refused by itself. A key that was seen before
 * returns the answers given then.
 * @param failAfter fault asked for: fail when so many changes were carried out, and keep none
 */
export async function applyBatch(
  sql: MarketDb,
  account: string,
  key: string,
  changes: MarketChange[],
  failAfter?: number,
): Promise<MarketAnswer[]> {
  return sql.begin(async (tx) => {
    // The lock makes the second of two equal batches wait, and then find the first one's answers.
    await tx`select pg_advisory_xact_lock(hashtext(${`${account} ${key}`}))`;
    const known = await tx<{ answers: MarketAnswer[] }[]>`
      select answers from quaymarket.batch where account_id = ${account} and idempotency_key = ${key}`;
    if (known.length > 0) return known[0].answers;
    const [{ seq, ...rules }] = await tx`
      update quaymarket.account set changes = changes + 1 where account_id = ${account}
      returning changes as seq, limits, options, today`;
    const answers: MarketAnswer[] = [];
    for (const [at, change] of changes.entries()) {
      if (at === failAfter) throw new Error('failed in mid-batch, as asked for');
      answers.push(await applyOne(tx, account, change, rules as unknown as Rules, seq as number));
    }
    await tx`
      insert into quaymarket.batch (account_id, idempotency_key, answers) values (${account}, ${key}, ${tx.json(answers as never)})`;
    return answers;
  }) as Promise<MarketAnswer[]>;
}

async function applyOne(
  tx: MarketTx,
  account: string,
  change: MarketChange,
  rules: Rules,
  seq: number,
): Promise<MarketAnswer> {
  const result =
    change.do === 'create'
      ? await create(tx, account, change.entity, change.fields, rules, seq)
      : change.do === 'update'
        ? await update(tx, account, change.entity, change.id, change.fields, rules, seq)
        : await archive(tx, account, change.entity, change.id, seq);
  return typeof result === 'string'
    ? { ref: change.ref, accepted: true, code: null, sentence: null, id: result }
    : { ref: change.ref, accepted: false, code: result.code, sentence: result.sentence, id: null };
}

async function create(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  given: Record<string, unknown>,
  rules: Rules,
  seq: number,
): Promise<string | Refusal> {
  const fields = entity === 'campaigns' ? { startsOn: rules.today, ...given } : given;
  const bad =
    checkFields(entity, fields, true, rules) ?? (await checkParent(tx, account, entity, fields, rules));
  if (bad) return bad;
  const { table, columns, letter } = ENTITY_TABLES[entity];
  const [{ n }] = await tx`select nextval('quaymarket.made_id') as n`;
  const id = `${letter}${n}`;
  const row: Record<string, unknown> = { account_id: account, id, changed: seq };
  for (const [word, value] of Object.entries(fields)) row[columns[word]] = columnValue(tx, word, value);
  if (table === 'target' || table === 'negative') row.norm = normaliseTerm(String(fields.expression));
  const made =
    await tx`insert into quaymarket.${tx.unsafe(table)} ${tx(row)} on conflict do nothing returning id`;
  return made.length > 0 ? id : refused('duplicate', duplicateSentence(entity, fields));
}

function duplicateSentence(entity: OwnKind, { expression, match, kind }: Record<string, unknown>): string {
  if (entity === 'targets')
    return `The ad group already has “${String(expression)}” as ${String(match ?? kind)} target.`;
  if (entity === 'negatives') return `“${String(expression)}” is already negative there.`;
  return 'There is one like it already.';
}

/** Refuses what would stand in something that is not there, is archived, or is full. */
async function checkParent(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  fields: Record<string, unknown>,
  { options }: Rules,
): Promise<Refusal | null> {
  const parent = PARENTS[entity];
  if (!parent) return null;
  const id = String(fields[parent.field]);
  const state = await stateOf(tx, account, parent.kind, id);
  const code = `no-such-${parent.word.replace(' ', '-')}`;
  if (state === undefined) return refused(code, `There is no ${parent.word} ${id}.`);
  if (state === 'archived')
    return refused('archived', `The ${parent.word} is archived; nothing can be added to it.`);
  if (entity === 'negatives' && fields.adGroupId != null)
    return (
      (await checkNegativePlace(tx, account, fields)) ??
      checkRoom(tx, account, 'negative', String(fields.adGroupId), options.mostNegatives ?? MOST)
    );
  if (entity === 'ads')
    return (
      (await checkProduct(tx, account, String(fields.productId))) ??
      checkPictures(tx, account, fields.pictures)
    );
  if (entity === 'ad-groups') return checkPart(tx, account, id, fields.budget);
  if (entity !== 'targets') return null;
  return checkRoom(tx, account, 'target', id, options.mostTargets ?? MOST);
}

/** An ad group's budget is a part of its campaign's. */
async function checkPart(
  tx: MarketTx,
  account: string,
  campaign: string,
  budget: unknown,
): Promise<Refusal | null> {
  if (budget === undefined || budget === null) return null;
  const [row] =
    await tx`select budget from quaymarket.campaign where account_id = ${account} and id = ${campaign}`;
  return Number(budget) <= Number(row?.budget)
    ? null
    : refused('above-campaign', 'The ad group’s budget is larger than that of its campaign.');
}

async function checkPartOf(tx: MarketTx, account: string, id: string, budget: unknown) {
  const [row] =
    await tx`select campaign_id as campaign from quaymarket.ad_group where account_id = ${account} and id = ${id}`;
  return checkPart(tx, account, String(row?.campaign), budget);
}

async function checkRoom(
  tx: MarketTx,
  account: string,
  table: 'target' | 'negative',
  adGroup: string,
  most: number,
): Promise<Refusal | null> {
  const [{ n }] = await tx`
    select count(*)::integer as n from quaymarket.${tx.unsafe(table)} where account_id = ${account} and ad_group_id = ${adGroup} and state <> 'archived'`;
  return n < most ? null : refused('ad-group-full', `The ad group has ${most} ${table}s; it takes no more.`);
}

async function checkNegativePlace(
  tx: MarketTx,
  account: string,
  { campaignId, adGroupId }: Record<string, unknown>,
): Promise<Refusal | null> {
  const found = await tx`
    select 1 from quaymarket.ad_group where account_id = ${account} and id = ${String(adGroupId)} and campaign_id = ${String(campaignId)}`;
  return found.length > 0
    ? null
    : refused(
        'no-such-ad-group',
        `There is no ad group ${String(adGroupId)} in campaign ${String(campaignId)}.`,
      );
}

/** Pictures of an ad have to be given to the market before. */
async function checkPictures(tx: MarketTx, account: string, given: unknown): Promise<Refusal | null> {
  const ids = (given ?? []) as string[];
  const known = await tx<{ id: string }[]>`
    select id from quaymarket.picture where account_id = ${account} and id = any(${ids}::text[])`;
  const strange = ids.find((id) => !known.some((one) => one.id === id));
  return strange === undefined ? null : refused('no-such-picture', `There is no picture ${strange}.`);
}

async function checkProduct(tx: MarketTx, account: string, id: string): Promise<Refusal | null> {
  const found = await tx`select 1 from quaymarket.product where account_id = ${account} and id = ${id}`;
  return found.length > 0 ? null : refused('no-such-product', `There is no product ${id}.`);
}

async function stateOf(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  id: string,
): Promise<string | undefined> {
  const [row] = await tx`
    select state from quaymarket.${tx.unsafe(ENTITY_TABLES[entity].table)} where account_id = ${account} and id = ${id}`;
  return row?.state as string | undefined;
}

/** Refuses to touch what is not there or archived. */
async function checkLiving(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  id: string,
): Promise<Refusal | null> {
  const state = await stateOf(tx, account, entity, id);
  const word = ENTITY_TABLES[entity].table.replace('_', ' ');
  if (state === undefined) return refused('not-found', `There is no ${word} ${id}.`);
  return state === 'archived'
    ? refused('archived', `The ${word} ${id} is archived already; archived things stay archived.`)
    : null;
}

async function update(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  id: string,
  fields: Record<string, unknown>,
  rules: Rules,
  seq: number,
): Promise<string | Refusal> {
  const bad =
    checkFields(entity, fields, false, rules) ??
    (await checkLiving(tx, account, entity, id)) ??
    (await checkDays(tx, account, entity, id, fields, rules)) ??
    (entity === 'ad-groups' ? await checkPartOf(tx, account, id, fields.budget) : null) ??
    (entity === 'ads' ? await checkPictures(tx, account, fields.pictures) : null);
  if (bad) return bad;
  const { table, columns } = ENTITY_TABLES[entity];
  const row = Object.fromEntries(
    Object.entries(fields).map(([word, value]) => [columns[word], columnValue(tx, word, value)]),
  );
  await tx`update quaymarket.${tx.unsafe(table)} set ${tx({ ...row, changed: seq })} where account_id = ${account} and id = ${id}`;
  return id;
}

/** Refuses a first day for what has begun, and a last day before the first. */
async function checkDays(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  id: string,
  { startsOn, endsOn }: Record<string, unknown>,
  { today }: Rules,
): Promise<Refusal | null> {
  if (startsOn === undefined && endsOn === undefined) return null;
  const { table } = ENTITY_TABLES[entity];
  const [row] = await tx<{ startsOn: string | null; endsOn: string | null }[]>`
    select starts_on as "startsOn", ends_on as "endsOn" from quaymarket.${tx.unsafe(table)} where account_id = ${account} and id = ${id}`;
  if (entity === 'campaigns' && startsOn !== undefined && row.startsOn !== null && row.startsOn <= today)
    return refused('has-begun', `The campaign has run since ${row.startsOn}; its first day stays.`);
  const [first, last] = [
    startsOn === undefined ? row.startsOn : startsOn,
    endsOn === undefined ? row.endsOn : endsOn,
  ];
  return first !== null && last !== null && String(last) < String(first)
    ? refused('bad-value', 'It would end before it starts.')
    : null;
}

async function archive(
  tx: MarketTx,
  account: string,
  entity: OwnKind,
  id: string,
  seq: number,
): Promise<string | Refusal> {
  const bad = await checkLiving(tx, account, entity, id);
  if (bad) return bad;
  await tx`
    update quaymarket.${tx.unsafe(ENTITY_TABLES[entity].table)} set state = 'archived', changed = ${seq}
    where account_id = ${account} and id = ${id}`;
  return id;
}
