import { buildLens } from '../../../core/lenses';
import type { LensName, LensTable } from '../../../core/lenses';
import type { BidSettings } from '../../../core/bids';
import type { NewChange } from '../../../contract/changes';
import type { AskedWindow } from '../../../contract/requests';
import type { KeptLens, LoadedLens } from '../../../plans/field';
import { placementStake, planPlacements, placementChanges } from '../../../plans/placements';
import type { PlacementChangesAsked, PlacementPlan, PlacementsAsked } from '../../../plans/placements';
import { budgetRows, budgetStake, isMoved } from '../../../plans/budgets';
import type { BudgetsAsked, BudgetSettings, BudgetsPlan } from '../../../plans/budgets';
import { arrangeCampaigns } from '../../../plans/campaigns';
import type { ArrangedCampaigns } from '../../../plans/campaigns';
import type { HoursAsked } from '../../../plans/hours';
import type { DataVersion } from './dataVersion';
import type { engineData, FieldServer } from './engineData';

/** What the engine has for these steps. */
interface Engine extends Pick<ReturnType<typeof engineData>, 'treeOf' | 'outlineOf' | 'sumsOf'> {
  server: Pick<FieldServer, 'askBids'>;
  load: (account: number, version: DataVersion, lens: LensName, asked?: AskedWindow) => Promise<LoadedLens>;
  loads: { get: (loadId: number) => { lens: KeptLens } | null | undefined };
}

/** Plans that are kept: as proposed, and as set by hand. */
const PLANS_KEPT = 4;

/** What is kept of the campaigns that were loaded last. */
interface Held {
  loadId: number;
  account: number;
  version: DataVersion;
  figures: LensTable;
  placements: Map<string, Promise<PlacementPlan>>;
  budgets: Map<string, Promise<BudgetsPlan>>;
}

/** What is asked for under a key, once; a failure is not kept. */
function keptPlan<T>(plans: Map<string, Promise<T>>, key: string, ask: () => Promise<T>): Promise<T> {
  let plan = plans.get(key);
  if (!plan) {
    plan = ask();
    plan.catch(() => plans.delete(key));
    if (plans.size >= PLANS_KEPT) plans.clear();
    plans.set(key, plan);
  }
  return plan;
}

/** The steps of the round that go over campaigns: loaded once, planned at any settings. */
export function campaignSteps({ server, load, treeOf, outlineOf, sumsOf, loads }: Engine) {
  let held: Held | null = null;

  /** The plan, with the table that it lies beside; null for another load. */
  async function placementsOf(loadId: number, settings: BidSettings) {
    const lens = loads.get(loadId)?.lens;
    if (!held || held.loadId !== loadId || !lens) return null;
    const { account, figures, placements } = held;
    const plan = await keptPlan(placements, JSON.stringify(settings), async () =>
      planPlacements(await server.askBids(account, 'placements', { settings }), lens.table, figures),
    );
    return { lens, plan };
  }

  async function budgetsOf(loadId: number, asked: BudgetSettings) {
    const lens = loads.get(loadId)?.lens;
    if (!held || held.loadId !== loadId || !lens) return null;
    const { account, budgets } = held;
    const { settings, locks } = asked;
    const plan = await keptPlan(budgets, JSON.stringify([settings, locks]), async () =>
      budgetRows(await server.askBids(account, 'budgets', { settings, locks }), lens.table),
    );
    return { lens, plan };
  }

  return {
    /** Fetches the account's campaigns, and what each did by placement. */
    async loadCampaigns(account: number, version: DataVersion, asked: AskedWindow = {}): Promise<LoadedLens> {
      const [index, lens, { grainSums }] = await Promise.all([
        outlineOf(account, version),
        load(account, version, 'campaigns', asked),
        sumsOf(account, version, 'placement', asked),
      ]);
      const figures = buildLens('placements', index, grainSums);
      held = { loadId: lens.loadId, account, version, figures, placements: new Map(), budgets: new Map() };
      return lens;
    },

    /** What is proposed for placements, by campaign; null for another load. */
    async planPlacements(
      loadId: number,
      settings: BidSettings,
    ): Promise<(PlacementPlan & { loadId: number }) | null> {
      const at = await placementsOf(loadId, settings);
      return at && { ...at.plan, loadId };
    },

    /** The rows of the step; null for another load. */
    async arrangePlacements(loadId: number, asked: PlacementsAsked): Promise<ArrangedCampaigns | null> {
      const at = await placementsOf(loadId, asked.settings);
      if (!at) return null;
      const { lens, plan } = at;
      return arrangeCampaigns(
        lens,
        asked,
        plan.rows.map(placementStake),
        (row) => plan.rows[row].left === null,
      );
    },

    /** What is proposed for budgets, by campaign; null for another load. */
    async planBudgets(
      loadId: number,
      asked: BudgetSettings,
    ): Promise<(BudgetsPlan & { loadId: number }) | null> {
      const at = await budgetsOf(loadId, asked);
      return at && { ...at.plan, loadId };
    },

    /** The rows of that step; null for another load. */
    async arrangeBudgets(loadId: number, asked: BudgetsAsked): Promise<ArrangedCampaigns | null> {
      // What is set by hand changes no order: rows stay under the hand that sets them.
      const [at, usual] = await Promise.all([
        budgetsOf(loadId, asked),
        budgetsOf(loadId, { ...asked, locks: [] }),
      ]);
      if (!at || !usual) return null;
      const [{ rows }, { rows: proposed }] = [at.plan, usual.plan];
      return arrangeCampaigns(
        at.lens,
        asked,
        proposed.map(budgetStake),
        (row) => isMoved(rows[row]) || isMoved(proposed[row]),
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
    async placementChanges(loadId: number, asked: PlacementChangesAsked): Promise<NewChange[][] | null> {
      const at = await placementsOf(loadId, asked.settings);
      if (!at || !held) return null;
      // Base bids go with the modifiers: only here targets are needed.
      const index = await treeOf(held.account, held.version);
      return placementChanges(at.plan, index, asked);
    },
  };
}
