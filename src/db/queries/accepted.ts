import { NOTHING_MADE } from '../../core/changes';
import type { Accepted, AcceptedChange, Made, Values } from '../../core/changes';
import type { Day } from '../../core/units';
import type { Query } from '../connection';

/** Accepted changes since a day, in the order of their answers. */
export async function listAcceptedSince(sql: Query, accountId: number, from: Day): Promise<AcceptedChange[]> {
  return sql<AcceptedChange[]>`
    select change, jsonb_build_object('targetId', made_target_id, 'negativeId', made_negative_id, 'scheduleId', made_schedule_id) as made
    from mowing.change where account_id = ${accountId} and state = 'accepted' and answered_on >= ${from}
    order by answered_at, change_id`;
}

const TABLES = {
  campaign: 'campaign',
  'ad-group': 'ad_group',
  ad: 'ad',
  target: 'target',
  negative: 'negative',
  schedule: 'schedule',
} as const;

/** Columns of what changes set, by the words of the core. */
const COLUMNS: Record<keyof Values, string> = {
  state: 'state',
  bid: 'bid_micros',
  budget: 'budget_micros',
  defaultBid: 'default_bid_micros',
  top: 'top_modifier',
  rest: 'rest_modifier',
  pages: 'pages_modifier',
  week: 'week',
  name: 'name',
  budgetKind: 'budget_kind',
  pacing: 'pacing',
  flex: 'flex',
  similar: 'similar_on',
  parts: 'parts',
  startsOn: 'starts_on',
  endsOn: 'ends_on',
};

const columnsOf = (values: Values) =>
  Object.fromEntries(
    Object.entries(values).flatMap(([word, value]) =>
      value === undefined ? [] : [[COLUMNS[word as keyof Values], value]],
    ),
  );

/**
 * Brings our copy of the account to what an accepted change has made of it.
 * @param marketId what the market calls what it made or changed; null in an account that has none
 * @returns our number of a target, negative or schedule that was made
 */
export async function applyAccepted(
  sql: Query,
  accountId: number,
  accepted: Accepted,
  marketId: string | null,
): Promise<Made> {
  const made = { ...NOTHING_MADE };
  switch (accepted.does) {
    case 'set':
      await setValues(sql, accountId, accepted.entity, accepted.id, columnsOf(accepted.values));
      break;
    case 'make-target':
      made.targetId = await insertTarget(sql, accountId, accepted, marketId);
      break;
    case 'make-negative':
      made.negativeId = await insertNegative(sql, accountId, accepted, marketId);
      break;
    case 'make-schedule':
      made.scheduleId = await insertSchedule(sql, accountId, accepted, marketId);
      break;
    case 'adopt':
      await adopt(sql, accountId, accepted, marketId);
      break;
    case 'adopt-ad':
      await sql`
        insert into mowing.ad (account_id, ad_group_id, product_id, market_id)
        values (${accountId}, ${accepted.adGroupId}, ${accepted.productId}, ${marketId}) on conflict (account_id, market_id) do update set state = 'enabled'`;
  }
  return made;
}

const setValues = (
  sql: Query,
  accountId: number,
  entity: keyof typeof TABLES,
  id: number,
  values: Record<string, string | number | null>,
) => sql`
  update mowing.${sql.unsafe(TABLES[entity])} set ${sql(values)}
  where account_id = ${accountId} and ${sql.unsafe(`${TABLES[entity]}_id`)} = ${id}`;

const asJson = (value: object | null | undefined) => (value ? JSON.stringify(value) : null);

/** Writes down a target that the market made. */
async function insertTarget(
  sql: Query,
  accountId: number,
  one: Extract<Accepted, { does: 'make-target' }>,
  marketId: string | null,
): Promise<number> {
  const there = marketId === null ? await findTarget(sql, accountId, one) : undefined;
  if (there !== undefined) {
    await setValues(sql, accountId, 'target', there, columnsOf({ bid: one.bid, state: 'enabled' }));
    return there;
  }
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.target (account_id, ad_group_id, market_id, kind, match, expression, refine, refined_against, bid_micros)
    values (${accountId}, ${one.adGroupId}, ${marketId}, ${one.kind}, ${one.match}, ${one.expression},
      ${asJson(one.refine)}::text::jsonb, ${asJson(one.against)}::text::jsonb, ${one.bid})
    on conflict (account_id, market_id) do update set bid_micros = excluded.bid_micros, refined_against = excluded.refined_against
    returning target_id as id`;
  return id;
}

/** A target with these words in an ad group, by name: an import may have brought it before. */
export async function findTarget(
  sql: Query,
  accountId: number,
  { adGroupId, kind, match, expression }: Omit<Extract<Accepted, { does: 'make-target' }>, 'does' | 'bid'>,
): Promise<number | undefined> {
  const rows = await sql<{ id: number }[]>`
    select target_id as id from mowing.target
    where account_id = ${accountId} and ad_group_id = ${adGroupId} and kind = ${kind} and match is not distinct from ${match}
      and lower(expression) = lower(${expression})
    order by target_id limit 1`;
  return rows[0]?.id;
}

/** Writes down a negative that the market made. */
async function insertNegative(
  sql: Query,
  accountId: number,
  one: Extract<Accepted, { does: 'make-negative' }>,
  marketId: string | null,
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.negative (account_id, campaign_id, ad_group_id, market_id, match, expression)
    values (${accountId}, ${one.campaignId}, ${one.adGroupId}, ${marketId}, ${one.match}, ${one.expression})
    on conflict (account_id, market_id) do update set state = 'enabled'
    returning negative_id as id`;
  return id;
}

/** Writes down a schedule that the market made. */
async function insertSchedule(
  sql: Query,
  accountId: number,
  { campaignId, name, week }: Extract<Accepted, { does: 'make-schedule' }>,
  marketId: string | null,
): Promise<number> {
  const [{ id }] = await sql<{ id: number }[]>`
    insert into mowing.schedule (account_id, campaign_id, market_id, name, week)
    values (${accountId}, ${campaignId}, ${marketId}, ${name}, ${week})
    on conflict (account_id, market_id) do update set week = excluded.week, state = 'enabled'
    returning schedule_id as id`;
  return id;
}

/** What a campaign has from the market when nothing else was said. */
const USUAL = {
  campaign: { pacing: 'even', flex: 'fixed', similar_on: 'on', state: 'enabled' },
  'ad-group': { state: 'enabled' },
};

/** The market made what was a draft: from now on it is known by the market's id too. */
async function adopt(
  sql: Query,
  accountId: number,
  { entity, id, values }: Extract<Accepted, { does: 'adopt' }>,
  marketId: string | null,
): Promise<void> {
  // A sync may have been quicker and taken it for a stranger: that copy makes room.
  await sql`
    update mowing.${sql.unsafe(TABLES[entity])} set market_id = null, state = 'archived'
    where account_id = ${accountId} and market_id = ${marketId}`;
  await setValues(sql, accountId, entity, id, {
    ...USUAL[entity],
    ...columnsOf(values),
    ...(marketId !== null && { market_id: marketId }),
  });
}
