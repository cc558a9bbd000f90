import { buildLens } from '../../../core/lenses';
import type { LensGrain, LensName, LensTable } from '../../../core/lenses';
import type { TreeIndex } from '../../../core/structure';
import type { BidSettings } from '../../../core/bids';
import type { NewChange } from '../../../contract/changes';
import type { AskedWindow } from '../../../contract/requests';
import type { KeptBids } from '../../../plans/bids';
import type { KeptLens, LoadedLens, LoadedSums } from '../../../plans/field';
import { placementStake, planPlacements, placementChanges } from '../../../plans/placements';
import type { PlacementChangesAsked, PlacementPlan, PlacementsAsked } from '../../../plans/placements';
import { budgetStake, isMoved, planBudgetRows, spendShares } from '../../../plans/budgets';
import type { BudgetsAsked, BudgetSettings, BudgetsPlan, SpendShares } from '../../../plans/budgets';
import { arrangeCampaigns } from '../../../plans/campaigns';
import type { ArrangedCampaigns } from '../../../plans/campaigns';
import type { HoursAsked } from '../../../plans/hours';
import type { DataVersion } from './dataVersion';

/** What the engine has for these steps. */
interface Engine {
  load: (account: number, version: DataVersion, lens: LensName, asked?: AskedWindow) => Promise<LoadedLens>;
  treeOf: (account: number, version: DataVersion) => Promise<TreeIndex>;
  sumsOf: (
    account: number,
    version: DataVersion,
    grain: LensGrain,
    asked: AskedWindow,
  ) => Promise<LoadedSums>;
  bidsOf: (account: number, version: DataVersion) => Promise<KeptBids>;
  loads: { get: (loadId: number) => { lens: KeptLens } | null | undefined };
}

/** Plans of budgets that are kept: as proposed, and as set by hand. */
const BUDGETS_KEPT = 4;

/** What is kept of the campaigns that were loaded last. */
interface Held {
  loadId: number;
  bids: KeptBids;
  figures: LensTable;
  plan: { key: string; plan: PlacementPlan } | null;
  budgets: Map<string, BudgetsPlan>;
}

/** The steps of the round that go over campaigns: loaded once, planned at any settings. */
export function campaignSteps({ load, treeOf, sumsOf, bidsOf, loads }: Engine) {
  let held: Held | null = null;

  function planOf(loadId: number, settings: BidSettings): PlacementPlan | null {
    const lens = loads.get(loadId)?.lens;
    if (held?.loadId !== loadId || !lens) return null;
    const key = JSON.stringify(settings);
    if (held.plan?.key !== key)
      held.plan = { key, plan: planPlacements(held.bids, settings, lens.table, held.figures, lens.index) };
    return held.plan.plan;
  }

  function budgetsOf(loadId: number, { settings, locks }: BudgetSettings): BudgetsPlan | null {
    const lens = loads.get(loadId)?.lens;
    if (held?.loadId !== loadId || !lens) return null;
    const key = JSON.stringify([settings, locks]);
    let plan = held.budgets.get(key);
    if (!plan) {
      plan = planBudgetRows(held.bids, { settings, locks }, lens.table, lens.index);
      if (held.budgets.size >= BUDGETS_KEPT) held.budgets.clear();
      held.budgets.set(key, plan);
    }
    return plan;
  }

  return {
    /** Fetches the account's campaigns, and what each did by placement. */
    async loadCampaigns(account: number, version: DataVersion, asked: AskedWindow = {}): Promise<LoadedLens> {
      // The whole tree first: then the campaigns are loaded with it.
      const [index, lens, { grainSums }, bids] = await Promise.all([
        treeOf(account, version),
        load(account, version, 'campaigns', asked),
        sumsOf(account, version, 'placement', asked),
        bidsOf(account, version),
      ]);
      const figures = buildLens('placements', index, grainSums);
      held = { loadId: lens.loadId, bids, figures, plan: null, budgets: new Map() };
      return lens;
    },

    /** What is proposed for placements, by campaign; null for another load. */
    planPlacements(loadId: number, settings: BidSettings): (PlacementPlan & { loadId: number }) | null {
      const plan = planOf(loadId, settings);
      return plan && { ...plan, loadId };
    },

    /** The rows of the step; null for another load. */
    arrangePlacements(loadId: number, asked: PlacementsAsked): ArrangedCampaigns | null {
      const lens = loads.get(loadId)?.lens;
      const plan = planOf(loadId, asked.settings);
      if (!lens || !plan) return null;
      return arrangeCampaigns(
        lens,
        asked,
        plan.rows.map(placementStake),
        (row) => plan.rows[row].left === null,
      );
    },

    /** What is proposed for budgets, by campaign; null for another load. */
    planBudgets(loadId: number, asked: BudgetSettings): (BudgetsPlan & { loadId: number }) | null {
      const plan = budgetsOf(loadId, asked);
      return plan && { ...plan, loadId };
    },

    /** Who takes whose money in a campaign; null for another load. */
    spendShares(loadId: number, campaignId: number, minBudget: number): SpendShares | null {
      const lens = loads.get(loadId)?.lens;
      return held?.loadId === loadId && lens
        ? spendShares(held.bids, lens.index, campaignId, minBudget)
        : null;
    },

    /** The rows of that step; null for another load. */
    arrangeBudgets(loadId: number, asked: BudgetsAsked): ArrangedCampaigns | null {
      const lens = loads.get(loadId)?.lens;
      const plan = budgetsOf(loadId, asked);
      // What is set by hand changes no order: rows stay under the hand that sets them.
      const usual = budgetsOf(loadId, { ...asked, locks: [] });
      if (!lens || !plan || !usual) return null;
      return arrangeCampaigns(
        lens,
        asked,
        usual.rows.map(budgetStake),
        (row) => isMoved(plan.rows[row]) || isMoved(usual.rows[row]),
      );
    },

    /** The rows of the step of hours; null for another load. */
    arrangeHours(loadId: number, { stakes, ...asked }: HoursAsked): ArrangedCampaigns | null {
      const lens = loads.get(loadId)?.lens;
      if (!lens) return null;
      const byId = new Map(stakes);
      const at = Array.from(lens.table.campaignId, (id) => byId.get(id));
      return arrangeCampaigns(
        lens,
        asked,
        at.map((money) => money ?? 0),
        (row) => at[row] !== undefined,
      );
    },

    /** The changes that accepting rows makes, each row by itself; null for another load. */
    placementChanges(loadId: number, asked: PlacementChangesAsked): NewChange[][] | null {
      const lens = loads.get(loadId)?.lens;
      const plan = planOf(loadId, asked.settings);
      return lens && plan ? placementChanges(plan, lens.index, asked) : null;
    },
  };
}
