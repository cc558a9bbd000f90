import { useMemo, useState } from 'react';
import { campaignSubject } from '../../../contract/aside';
import { settingsOf } from '../../../core/bids';
import type { BidSettings } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import { PLACEMENTS } from '../../../core/structure';
import { pendingPlacements, placementSettings, stagedBids } from '../../../plans/placements';
import type { ArrangedCampaigns } from '../../../plans/campaigns';
import type { PlacementEdit, PlacementPlan, PlacementsAsked } from '../../../plans/placements';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { PointSource } from '../../shared/picture/points';
import { useAnswer } from '../../shared/useAnswer';
import { useTell } from '../../shared/useTell';
import { inOrder, useCampaignDecisions, useCampaignLens } from '../campaigns';
import type { WorkAt } from '../steps/step';
import { useStepRows } from '../useStepRows';

export const PLACEMENTS_NAME = 'placements';
export type PlacementDecisions = ReturnType<typeof useCampaignDecisions<PlacementEdit>>;

/** The campaigns of the account with what is proposed for their placements, and everything that is decided on them. */
export function usePlacementWork({ account, state, tray, isWanted }: WorkAt) {
  const engine = pageEngine();
  const tell = useTell();
  const isShown = state.step === PLACEMENTS_NAME;
  const [editing, setEditing] = useState<{ row: number; placement: number } | null>(null);
  const { bids } = state.choices.choices;
  const settings: BidSettings = useMemo(
    () => placementSettings(settingsOf(bids, account?.limits ?? USUAL_LIMITS), account?.options ?? null),
    [bids, account?.limits, account?.options],
  );
  const lens = useCampaignLens(account, state, isWanted);
  const { data: loaded } = lens;
  const decisions = useCampaignDecisions<PlacementEdit>(account, PLACEMENTS_NAME, tray, pendingPlacements);
  const { answer: plan, error: planFault } = useAnswer<BidSettings, PlacementPlan & { loadId: number }>(
    loaded?.loadId,
    settings,
    (id, asked) => engine.planPlacements(id, asked),
    lens.onGone,
  );
  const asked: Omit<PlacementsAsked, 'staged' | 'aside'> = {
    show: isShown && state.show !== 'testing' ? state.show : 'proposed',
    settings,
    conditions: isShown ? state.conditions : [],
    sort: isShown ? (state.sort as PlacementsAsked['sort']) : null,
  };
  const {
    answer: arranged,
    isCurrent,
    error: rowsFault,
  } = useAnswer<PlacementsAsked, ArrangedCampaigns>(
    loaded?.loadId,
    { ...asked, staged: inOrder(decisions.stagedIds), aside: inOrder(decisions.asideIds) },
    (id, all) => engine.arrangePlacements(id, all),
    lens.onGone,
  );
  const source = useMemo(() => (plan ? sourceOf(plan) : null), [plan]);
  const view = useStepRows(arranged?.rows, source, `${PLACEMENTS_NAME} ${state.show}`);

  /** Puts modifiers and the base bids that go with them into the tray. */
  const accept = async (rows: number[]) => {
    if (!loaded || !plan || rows.length === 0) return;
    const edits = [...decisions.edits];
    const lists = await engine.placementChanges(loaded.loadId, {
      settings,
      rows,
      edits,
      staged: stagedBids(tray.changes),
    });
    if (!lists) return lens.onGone();
    const made = lists.flatMap((changes, at) =>
      changes.length > 0 ? [{ subject: campaignSubject(plan.rows[rows[at]].campaignId), changes }] : [],
    );
    if (made.length === 0) tell('Nothing would change: the modifiers stand as they are.');
    view.rows.clearSelection();
    await decisions.accept(made);
  };
  return {
    loaded,
    error: lens.error ?? planFault ?? rowsFault,
    plan,
    arranged,
    isCurrent,
    list: JSON.stringify([loaded?.loadId, asked]),
    settings,
    decisions,
    view,
    accept,
    editing,
    setEditing,
    left: arranged ? [{ step: PLACEMENTS_NAME, left: arranged.left, money: arranged.money }] : [],
    staged: { [PLACEMENTS_NAME]: new Set(decisions.stagedIds).size },
    hasData: !plan || plan.rows.some(({ now, left }) => now.clicks > 0 && left !== 'not known'),
    hasClicks: !plan || plan.rows.some(({ now }) => now.clicks > 0),
    isOffered: settings.modifiers.some(Boolean),
    /** Whether anybody told the modifiers of any campaign. */
    isTold: !plan || plan.rows.some(({ left }) => left !== 'not known'),
  };
}

export type PlacementWork = ReturnType<typeof usePlacementWork>;

/** A campaign stands in the picture once for each placement, at what its clicks there brought and cost in the window. */
function sourceOf({ rows }: PlacementPlan): PointSource {
  const cells = rows.flatMap(({ placements }) => placements);
  return {
    perRow: PLACEMENTS.length,
    clicks: cells.map(({ sums }) => sums.clicks),
    spend: cells.map(({ sums }) => sums.spend),
    rpc: cells.map(({ rpc }) => rpc),
    low: cells.map(({ rpcLow }) => rpcLow),
    high: cells.map(({ rpcHigh }) => rpcHigh),
    grade: cells.map(({ grade }) => grade),
  };
}
