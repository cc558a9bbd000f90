import { useMemo, useState } from 'react';
import { campaignSubject, idsOfSubject } from '../../../contract/aside';
import type { AccountInfo } from '../../../contract/api';
import { settingsOf } from '../../../core/bids';
import type { BidSettings } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import { PLACEMENTS } from '../../../core/structure';
import type { LoadedLens } from '../../../plans/field';
import { pendingPlacements, placementSettings, stagedBids } from '../../../plans/placements';
import type {
  ArrangedCampaigns,
  PlacementEdit,
  PlacementPlan,
  PlacementsAsked,
} from '../../../plans/placements';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { PointSource } from '../../shared/picture/points';
import type { TrayState } from '../../shared/tray/useTray';
import { useAnswer } from '../../shared/useAnswer';
import { useTell } from '../../shared/useTell';
import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import { useDecisions } from '../decisions/useDecisions';
import type { RoundAt } from '../steps/step';
import { useStepRows } from '../useStepRows';

export const PLACEMENTS_NAME = 'placements';
const QUEUE = { name: PLACEMENTS_NAME, noun: 'campaign' };

/** What is decided on campaigns, by their ids. */
function usePlacementDecisions(account: AccountInfo | undefined, tray: TrayState) {
  const decisions = useDecisions<PlacementEdit>(account, QUEUE, tray);
  const { aside, edits, underWay } = decisions;
  const staged = useMemo(() => pendingPlacements([...tray.changes, ...tray.sending]), [tray]);
  const idOf = (subject: string) => idsOfSubject(subject)[0];
  const editsById = useMemo(() => new Map([...edits].map(([subject, one]) => [idOf(subject), one])), [edits]);
  return {
    ...decisions,
    edits: editsById,
    edit: (id: number, edit: PlacementEdit | null) => decisions.edit(campaignSubject(id), edit),
    asideOf: (id: number) => aside.get(campaignSubject(id)),
    asideIds: [...aside.keys()].map(idOf),
    stagedIds: [...staged, ...underWay.map(idOf)],
    put: (ids: readonly number[], verdict: 'left' | 'later', more?: { until?: string }) =>
      decisions.put(ids.map(campaignSubject), verdict, more),
    takeBack: (ids: readonly number[]) => decisions.takeBack(ids.map(campaignSubject)),
  };
}

export type PlacementDecisions = ReturnType<typeof usePlacementDecisions>;

const inOrder = (ids: readonly number[]) => [...new Set(ids)].sort((a, b) => a - b);

/** The campaigns of the account with what is proposed for their placements, and everything that is decided on them. */
export function usePlacementWork({ account, state, tray }: RoundAt) {
  const engine = pageEngine();
  const tell = useTell();
  const isShown = state.step === PLACEMENTS_NAME;
  const version = dataVersion(account);
  const [editing, setEditing] = useState<{ row: number; placement: number } | null>(null);
  const { bids } = state.choices.choices;
  const settings: BidSettings = useMemo(
    () => placementSettings(settingsOf(bids, account?.limits ?? USUAL_LIMITS), account?.options ?? null),
    [bids, account?.limits, account?.options],
  );
  const lens = useWorkerLoad<LoadedLens>(
    ['campaigns', account?.id, version, state.from, state.to],
    () =>
      engine.loadCampaigns(account!.id, version, {
        from: state.from ?? undefined,
        to: state.to ?? undefined,
      }),
    account !== undefined,
  );
  const { data: loaded } = lens;
  const decisions = usePlacementDecisions(account, tray);
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
    hasData: !plan || plan.rows.some(({ now }) => now.clicks > 0),
    isOffered: settings.modifiers.some(Boolean),
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
