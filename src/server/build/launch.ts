import type { LaunchAnswer } from '../../contract/build';
import type { NewChange } from '../../contract/changes';
import { MowingError } from '../../contract/mowingError';
import { campaignsOf, changesOf, expectOf, isSound, lineOf } from '../../core/build';
import type { BuildPlan, PlannedCampaign, PlannedChange, PlannedPlace } from '../../core/build';
import type { Change } from '../../core/changes';
import { formatCount } from '../../core/units';
import { keepNamePattern } from '../../db/queries/accounts';
import { listPlanChanges, updatePlan } from '../../db/queries/buildPlans';
import type { PlanChangeRow } from '../../db/queries/buildPlans';
import type { Transaction } from '../../db/connection';
import { insertDraftAdGroup, insertDraftCampaign } from '../../db/queries/drafts';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { sendBale } from '../changes/sendBale';
import { stageIn } from '../changes/stageChanges';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { loadBackground } from './background';
import { livingChanges, needPlan, workOut } from './workOut';

/**
 * Puts what a plan makes into the tray, in the order in which the market needs it. Lines that stand or wait already are passed over: put again after one
 * was refused and mended, a plan makes what is missing.
 * @returns the staged changes
 * @throws MowingError with every fault of the plan; for an account without a market, or a plan that is thrown away
 */
export async function stagePlan(caller: Caller, accountId: number, id: number): Promise<number[]> {
  const account = await needAccount(accountId);
  if (account.marketId === null)
    throw new MowingError(
      'conflict',
      `${account.name} is fed by files: no market makes its campaigns. Take the plan’s file, and make them at the market.`,
    );
  const { faults, isThrown } = await workOut(accountId, id);
  if (isThrown)
    throw new MowingError('conflict', 'The plan is thrown away. Take it back first; nothing was made.');
  const wrong = faults.filter(({ weight }) => weight === 'wrong');
  if (!isSound(faults))
    throw new MowingError(
      'bad-request',
      `${formatCount(wrong.length)} ${wrong.length === 1 ? 'line is' : 'lines are'} wrong; nothing was made. ${wrong[0].sentence}`,
      wrong.map(({ at, sentence }) => ({ where: `plan.${at}`, what: sentence })),
    );
  const background = await loadBackground(account);
  return recorded(caller, accountId, async (tx, note) => {
    // Two clicks at once: the second finds what the first has put there, and no edit is written over.
    await tx`select 1 from mowing.build_plan where account_id = ${accountId} and plan_id = ${id} for update`;
    const { plan } = await needPlan(tx, accountId, id);
    const before = new Map((await livingChanges(tx, accountId, id)).map((row) => [row.line, row]));
    const { lineId } = background.index.placeOfProduct(plan.productId);
    const list: NewChange[] = [];
    const campaigns = campaignsOf(plan, account.limits);
    await updatePlan(tx, accountId, id, pinned(plan, campaigns));
    // What campaigns are named by is the account's from now on.
    await keepNamePattern(tx, accountId, plan.pattern);
    for (const campaign of campaigns) {
      const place = await placeOf(tx, accountId, campaign, plan.productId, before);
      const month = expectOf(background.likes, {
        part: campaign.part,
        productId: plan.productId,
        lineId,
        count: campaign.targets.length,
        budget: campaign.budget,
        budgetKind: campaign.fields.budgetKind,
      });
      const effect = { spend: Math.round(month?.spend.mean ?? 0), sales: Math.round(month?.sales.mean ?? 0) };
      addMissing(list, changesOf(campaign, place, [plan.productId, ...plan.more]), before, (line) => ({
        reason: `Plan ${id} for ${background.products.get(plan.productId)?.name ?? 'a product'}: ${campaign.name}.`,
        figures: { step: 'build', plan: id, line },
        // The whole campaign's, told once.
        effect: line === lineOf.campaign(campaign.key) ? effect : { spend: 0, sales: 0 },
      }));
    }
    const ids = await stageIn(tx, accountId, list);
    const staged = ids.filter((one): one is number => one !== null);
    note({ what: 'stage plan', subject: `plan ${id}`, to: { changes: staged.length } });
    return staged;
  });
}

/** The plan with what is launched of it written down: names, budgets and where each term stands do not move when more is added. */
function pinned(plan: BuildPlan, campaigns: readonly PlannedCampaign[]): BuildPlan {
  const homes = new Map(
    campaigns.flatMap(({ key, part, targets }) =>
      part === 'exact' ? targets.map(({ at }) => [at, key] as const) : [],
    ),
  );
  return {
    ...plan,
    names: { ...plan.names, ...Object.fromEntries(campaigns.map(({ key, name }) => [key, name])) },
    budgets: { ...plan.budgets, ...Object.fromEntries(campaigns.map(({ key, budget }) => [key, budget])) },
    terms: plan.terms.map((term, at) => {
      const home = homes.get(`terms.${at}`);
      return home === undefined ? term : { ...term, home };
    }),
  };
}

/** What stands, or is on its way. */
const holds = (row: PlanChangeRow | undefined) => row !== undefined && row.state !== 'refused';

function addMissing(
  list: NewChange[],
  planned: readonly PlannedChange[],
  before: ReadonlyMap<string, PlanChangeRow>,
  why: (line: string) => Omit<NewChange, 'change' | 'after'>,
) {
  const at = new Map<string, number>();
  for (const { line, after, change } of planned) {
    if (holds(before.get(line))) continue;
    const index = after === null ? undefined : at.get(after);
    at.set(line, list.length);
    list.push({ change, ...why(line), ...(index !== undefined && { after: index }) });
  }
}

/** Where a campaign is made: what stands for it already, or drafts of its own. */
async function placeOf(
  tx: Transaction,
  accountId: number,
  { key, name, budget, fields, defaultBid, adGroupBudget }: PlannedCampaign,
  productId: number,
  before: ReadonlyMap<string, PlanChangeRow>,
): Promise<PlannedPlace> {
  const idIn = (line: string, field: 'campaignId' | 'adGroupId') => {
    const row = before.get(line);
    return row && holds(row) ? ((row.change as Change & Record<typeof field, number>)[field] ?? null) : null;
  };
  const campaignId =
    idIn(lineOf.campaign(key), 'campaignId') ??
    (await insertDraftCampaign(tx, accountId, { ...fields, name, budget }));
  const adGroupId =
    idIn(lineOf.adGroup(key), 'adGroupId') ??
    (await insertDraftAdGroup(tx, accountId, {
      campaignId,
      productId,
      name,
      defaultBid,
      budget: adGroupBudget,
    }));
  return { campaignId, adGroupId };
}

/** Changes of a plan that wait in the tray. */
async function loadStaged(accountId: number, id: number): Promise<number[]> {
  const rows = await listPlanChanges(db(), accountId, id);
  return rows.flatMap((row) => (row.state === 'staged' ? [row.id] : []));
}

/** Puts a plan into the tray and sends it as one bale. */
export async function launchPlan(caller: Caller, accountId: number, id: number): Promise<LaunchAnswer> {
  const fresh = await stagePlan(caller, accountId, id);
  const open = (await loadStaged(accountId, id)).concat(fresh);
  const ids = [...new Set(open)];
  if (ids.length === 0) return { baleId: null, sent: 0, trouble: '' };
  const { baleId, trouble } = await sendBale(caller, accountId, ids);
  return { baleId, sent: ids.length, trouble };
}
