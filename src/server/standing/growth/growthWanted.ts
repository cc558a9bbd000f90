import { paidOf } from '../../../core/budgets';
import { changeKey } from '../../../core/changes';
import { planMoney, stageMoves } from '../../../core/growth';
import type { GrowthBudget, GrowthCampaign, GrowthMoney } from '../../../core/growth';
import type { Rule } from '../../../core/rules';
import { counted, DAYS_PER_MONTH } from '../../../core/units';
import { howOf, stepWanted } from '../stepWanted';
import type { FoundWanted, RuleWanted } from '../stepWanted';
import { giveUps, movesUp, raises, termsToTry } from './findWanted';
import { lookAtGrowth } from './lookAtGrowth';
import type { GrowthLook } from './lookAtGrowth';
import { missingCampaigns, ownCampaigns } from './makes';
import type { Make } from './makes';

const NO_FIGURES = { clicks: 0, impressions: 0, orders: 0 };

/** What a growth plan wants tonight, and what stands in its way. */
export interface GrowthNight extends FoundWanted {
  look: GrowthLook;
  money: GrowthMoney;
  waits: string[];
}

export const growthWanted = (accountId: number, id: number | undefined, rule: Rule): Promise<GrowthNight> =>
  lookAtGrowth(accountId, id, rule).then((look) => nightOf(accountId, look));

/** Every move with its reason: what is made, tried, given up and moved up; bids toward the range; budgets within the total; stages. */
async function nightOf(accountId: number, look: GrowthLook): Promise<GrowthNight> {
  const { plan, members, limits, rule, index, range } = look;
  const [{ terms, home: termHome, tried }, up] = await Promise.all([
    termsToTry(accountId, look),
    movesUp(accountId, look),
  ]);
  const makes = [
    ...missingCampaigns(
      look,
      terms.map(({ text }) => text),
    ),
    ...ownCampaigns(look),
  ];
  const campaigns: GrowthCampaign[] = [
    ...members.map((member) => ({ ...member, need: look.needs.get(member.id)?.need ?? null })),
    ...makes.map(({ stage, name, need }, at) => ({
      id: -1 - at,
      name,
      stage,
      budget: 0,
      isRunning: true,
      isCounted: true,
      isDraft: false,
      need,
      days: 0,
      spend: 0,
      orders: 0,
      sales: 0,
    })),
  ];
  const money = planMoney(plan, campaigns, limits);
  const made = money.budgets.filter(({ campaign }) => campaign < 0);
  const isMade = new Set(made.map(({ campaign }) => -1 - campaign));
  const running = members.filter(({ isRunning }) => isRunning);
  const tuned = new Set(running.map(({ id }) => id));
  const isFinding = new Set(running.filter(({ stage }) => stage === 'find').map(({ name }) => name));
  const bids =
    plan.tune.isOn && tuned.size > 0
      ? await stepWanted(accountId, { ...rule, work: 'bids' }, ['over', 'grow'], {
          index,
          isIn: ({ place }) => tuned.has(place.campaignId),
          how: howOf(rule),
        })
      : { looked: 0, wanted: [] };
  const wanted = [
    ...made.map(({ campaign, to }) => makeWanted(makes[-1 - campaign], to)),
    ...giveUps(look, tried),
    ...raises(look, tried),
    ...up.wanted,
    ...(termHome === undefined ? [] : terms.map(({ add }) => add)),
    ...money.budgets
      .filter(({ campaign }) => campaign > 0)
      .sort((a, b) => a.to - a.from - (b.to - b.from))
      .map((one) => budgetWanted(look, one)),
    // What is still being tried keeps its first bid; what has sold is tuned wherever it stands.
    ...bids.wanted.filter(
      ({ place, figures }) => figures.orders > 0 || !isFinding.has(place.split(' › ')[0]),
    ),
    ...stageMoves(campaigns, plan, range).map(({ campaign, to, reason }): RuleWanted => ({
      subject: `stage ${campaign}`,
      name: index.campaigns.get(campaign)!.name,
      place: '',
      reason,
      figures: NO_FIGURES,
      changes: 0,
      spend: 0,
      sales: 0,
      list: [],
      moves: { campaign, to },
    })),
  ];
  return {
    look,
    money,
    looked: members.length + tried.length + bids.looked,
    wanted: wanted.filter(
      ({ list, makes: isNew }) =>
        isNew !== undefined ||
        list.length === 0 ||
        !list.some(({ change }) => look.pending.has(changeKey(change))),
    ),
    waits: [
      ...makes.flatMap(({ name }, at) =>
        isMade.has(at) ? [] : [`“${name}” waits for money: it is made when enough of the total is free.`],
      ),
      ...money.waits,
      ...waitsOf(look, up.open),
    ],
  };
}

/** What waits for something to happen. @param open search terms that sold, but not often enough yet */
function waitsOf({ plan, members }: GrowthLook, open: number): string[] {
  const has = (stage: string) => members.some((one) => one.stage === stage);
  const drafts = members.filter(({ row, isRunning }) => row.isMade && !isRunning).length;
  return [
    ...(drafts > 0
      ? [
          `${counted(drafts, 'campaign')} of the plan wait${drafts === 1 ? 's' : ''} for the market, for the tray, or for something to bid on.`,
        ]
      : []),
    ...(plan.tune.isOn && open > 0
      ? [
          `${counted(open, 'term')} sold and wait${open === 1 ? 's' : ''} for ${counted(plan.tune.orders, 'order')} to move up.`,
        ]
      : []),
    ...(plan.grow.isOn && !has('grow') && has('tune')
      ? [
          'Nothing grows yet: a campaign moves on once its ACOS is within the range, with 5 orders in 14 settled days.',
        ]
      : []),
  ];
}

function makeWanted({ name, reason, with: made, stage }: Make, budget: number): RuleWanted {
  const makes = made(budget);
  const list = makes.listIn({ campaignId: 0, adGroupId: 0 });
  return {
    subject: `make ${name}`,
    name,
    place: stage,
    reason,
    figures: NO_FIGURES,
    changes: list.length,
    // What is not known from others like it may cost all that it is given.
    spend: makes.spend > 0 ? makes.spend : Math.round(budget * DAYS_PER_MONTH),
    sales: makes.sales,
    list,
    makes,
  };
}

function budgetWanted(
  { needs, index }: GrowthLook,
  { campaign, from, to, reason }: GrowthBudget,
): RuleWanted {
  const need = needs.get(campaign);
  const paid = (budget: number) => (need ? paidOf(budget, need.spend, need.cpc) : 0);
  const spend = Math.round((paid(to) - paid(from)) * DAYS_PER_MONTH);
  const sales = need && need.cpc > 0 ? Math.round((spend / need.cpc) * need.rpc) : 0;
  return {
    subject: `budgets ${campaign}`,
    name: index.campaigns.get(campaign)!.name,
    place: '',
    reason,
    figures: { ...NO_FIGURES, clicks: need?.now.clicks ?? 0 },
    changes: 1,
    spend,
    sales,
    list: [
      {
        change: {
          kind: 'set-budget',
          campaignId: campaign,
          from: index.campaigns.get(campaign)!.budget ?? from,
          to,
        },
        reason,
        figures: { step: 'budgets' },
        effect: { spend, sales },
      },
    ],
  };
}
