import type { NewChange } from '../../../contract/changes';
import { partNamed } from '../../../core/build';
import { chancesFor, findMoney, givenUpReason, isGivenUp, nextTerms, raisedBid } from '../../../core/growth';
import type { TriedTarget } from '../../../core/growth';
import { matchForm } from '../../../core/matching';
import { largest } from '../../../core/order';
import { USUAL_ASKS, USUAL_START } from '../../../core/routes';
import type { Route } from '../../../core/routes';
import { addDays, daysIn, DAYS_PER_MONTH } from '../../../core/units';
import { listTried } from '../../../db/queries/growth';
import { listProductTerms } from '../../../db/queries/productTerms';
import { db } from '../../context/context';
import { howOf, stepWanted } from '../stepWanted';
import type { FoundWanted, RuleWanted } from '../stepWanted';
import { freshPlan } from '../../build/plans';
import type { GrowthLook } from './lookAtGrowth';
import { bidWithin, termPart } from './makes';
import { homeIn } from './members';
import type { Member } from './members';

/** A term that is to be tried, with what puts it into the campaign of terms; and how the targets of finding stand. */
export interface ToTry {
  terms: { text: string; reason: string; add: RuleWanted }[];
  /** The campaign of terms; undefined while it has to be made, with them. */
  home: Member | undefined;
  tried: TriedTarget[];
}

/** Days in which a term that sold elsewhere counts. */
const SOLD_DAYS = 60;

const finding = ({ members }: GrowthLook) => members.filter(({ stage }) => stage === 'find');

/** Terms that are to be tried next, as far as the money for finding gives them a chance. */
export async function termsToTry(accountId: number, look: GrowthLook): Promise<ToTry> {
  const { plan, members, index, settled, productId, limits } = look;
  const part = termPart(look);
  const home = homeIn(members, ['find'], part);
  if (!plan.find.isOn) return { terms: [], home, tried: [] };
  const finds = finding(look);
  const [rows, sold] = await Promise.all([
    listTried(
      db(),
      accountId,
      finds.map(({ id }) => id),
      settled,
    ),
    plan.find.others
      ? listProductTerms(db(), accountId, [productId], {
          from: addDays(settled, -SOLD_DAYS),
          to: settled,
          without: members.map(({ id }) => id),
        })
      : [],
  ]);
  const tried = rows.map(({ firstDay, ...row }) => ({
    ...row,
    days: firstDay > settled ? 0 : daysIn(firstDay, settled),
  }));
  const own = new Set(members.map(({ id }) => id));
  const forms = new Set(
    index.tree.targets.flatMap(({ adGroupId, match, expression, state }) =>
      match !== null && state !== 'archived' && own.has(index.placeOfAdGroup(adGroupId).campaignId)
        ? [matchForm(expression)]
        : [],
    ),
  );
  const open = tried.filter((one) => one.orders === 0 && !isGivenUp(one, plan.find)).length;
  const terms = nextTerms(
    plan.find,
    sold.map(({ text, orders, sales }) => ({ text, orders, sales })),
    (text) => forms.has(matchForm(text)),
    chancesFor(findMoney(plan, limits), plan.find) - open,
  );
  const bid = bidWithin(plan.find.bid, limits);
  const match = partNamed(part).match!;
  return {
    home,
    tried,
    terms: terms.map(({ text, reason }) => ({
      text,
      reason,
      add: wantedOf(`term ${text}`, text, home?.name ?? '', {
        change: { kind: 'add-keyword', adGroupId: home?.adGroupId ?? 0, expression: text, match, bid },
        reason,
        figures: { step: 'growth' },
        effect: {
          spend: Math.round((plan.find.chance.spend / plan.find.chance.days) * DAYS_PER_MONTH),
          sales: 0,
        },
      }),
    })),
  };
}

/** Targets of finding that had their chance and sold nothing: they are paused. */
export function giveUps({ plan, index }: GrowthLook, tried: readonly TriedTarget[]): RuleWanted[] {
  return tried
    .filter((one) => isGivenUp(one, plan.find))
    .sort((a, b) => b.spend - a.spend)
    .map((one) => {
      const target = index.targets.get(one.id)!;
      const campaign = index.campaigns.get(index.placeOfTarget(one.id).campaignId);
      const { clicks, spend, orders } = one;
      const wanted = wantedOf(`target ${one.id}`, target.expression, campaign?.name ?? '', {
        change: { kind: 'set-state', entity: 'target', id: one.id, from: 'enabled', to: 'paused' },
        reason: givenUpReason(one, plan.find),
        figures: { step: 'growth', clicks, spend, orders, sales: 0 },
        effect: { spend: -Math.round((spend / Math.max(1, one.days)) * DAYS_PER_MONTH), sales: 0 },
      });
      return { ...wanted, figures: { clicks, impressions: 0, orders } };
    });
}

/** Targets of finding that hardly get clicks bid more, until their chance comes about; no more than a click of the product is worth where it sells best. */
export function raises(
  { plan, index, rule, limits, account, background, productId, settled }: GrowthLook,
  tried: readonly TriedTarget[],
): RuleWanted[] {
  const { parts } = freshPlan(account, background, productId);
  const best = largest([plan.find.bid, ...Object.values(parts).map(({ bid }) => bid)]);
  const most = Math.min(limits.maxBid, rule.bid.high ?? best);
  return tried.flatMap((one) => {
    const target = index.targets.get(one.id)!;
    const bid = target.bid ?? index.adGroups.get(target.adGroupId)?.defaultBid ?? null;
    const changed = index.changedOn('target', one.id);
    if (bid === null) return [];
    const sinceChange = changed === undefined ? Infinity : changed > settled ? 0 : daysIn(changed, settled);
    const raised = raisedBid(one, plan.find, { bid, most, up: rule.step.up, sinceChange }, limits.bidStep);
    if (raised === null) return [];
    const { to, reason } = raised;
    const campaign = index.campaigns.get(index.placeOfTarget(one.id).campaignId);
    const { clicks, spend, orders } = one;
    const more = Math.round(((spend * (to / bid - 1)) / Math.max(1, one.days)) * DAYS_PER_MONTH);
    const wanted = wantedOf(`target ${one.id}`, target.expression, campaign?.name ?? '', {
      change: { kind: 'set-bid', targetId: one.id, from: target.bid, to },
      reason,
      figures: { step: 'growth', clicks, spend, orders, sales: 0 },
      effect: { spend: more, sales: 0 },
    });
    return [{ ...wanted, figures: { clicks, impressions: 0, orders } }];
  });
}

/** Search terms of finding that sold often enough move to the campaign of what sold; the rest of the evidence is that of a harvest. */
export async function movesUp(accountId: number, look: GrowthLook): Promise<FoundWanted & { open: number }> {
  const { plan, members, index, rule } = look;
  if (!plan.tune.isOn) return { looked: 0, wanted: [], open: 0 };
  const sources = finding(look).flatMap(({ adGroupId, isRunning }) =>
    adGroupId !== null && isRunning ? [adGroupId] : [],
  );
  const words = homeIn(members, ['tune', 'grow'], 'exact');
  const items = homeIn(members, ['tune', 'grow'], 'rivals');
  const route = (
    sourceId: number,
    takes: Route['takes'],
    home: Member | undefined,
    orders: number,
  ): Route[] =>
    home?.adGroupId == null || home.adGroupId === sourceId
      ? []
      : [
          {
            sourceId,
            takes,
            homeId: home.adGroupId,
            match: 'exact',
            block: 'ad group',
            asks: { ...USUAL_ASKS, orders },
            start: USUAL_START,
          },
        ];
  // What sold once is looked at too: it tells what waits for more.
  const routes = sources.flatMap((source) => [
    ...route(source, 'words', words, 1),
    ...route(source, 'items', items, 1),
  ]);
  if (routes.length === 0) return { looked: 0, wanted: [], open: 0 };
  const { looked, wanted } = await stepWanted(accountId, rule, ['harvest'], {
    index,
    isIn: ({ place }) => sources.includes(place.adGroupId),
    how: { ...howOf(rule), routes },
  });
  const enough = wanted.filter(({ figures }) => figures.orders >= plan.tune.orders);
  return { looked, wanted: enough, open: wanted.length - enough.length };
}

/** One change as a rule wants it. */
function wantedOf(subject: string, name: string, place: string, change: NewChange): RuleWanted {
  return {
    subject,
    name,
    place,
    reason: change.reason,
    figures: { clicks: 0, impressions: 0, orders: 0 },
    changes: 1,
    spend: change.effect.spend,
    sales: change.effect.sales,
    list: [change],
  };
}
