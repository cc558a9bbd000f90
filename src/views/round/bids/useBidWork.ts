import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Area } from '../../../charts';
import type { AccountInfo } from '../../../contract/api';
import type { BidStepName } from '../../../contract/review';
import { settingsOf } from '../../../core/bids';
import type { BidChoices, BidSettings, PlanColumns } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import type { ChoicesState } from '../../shared/useChoices';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import { treeVersion } from '../../shared/fieldEngine/treeVersion';
import type { LoadedLens } from '../../../plans/field';
import type { ArrangedBids, BidsAsked } from '../../../plans/bids';
import { pointsOf, rowsInArea } from '../../shared/picture/points';
import type { PointSource } from '../../shared/picture/points';
import { useAnswer } from '../../shared/useAnswer';
import { useRows } from '../../shared/useRows';
import type { TrayState } from '../../shared/tray/useTray';
import { isBidStep } from '../../../contract/review';
import type { RoundState } from '../useRoundState';
import { useBidDecisions } from './useBidDecisions';

/** The account's choices of bids; the wide first step is for once and stays with this page. */
function useBidChoices({ choices, change }: ChoicesState) {
  const [isOnce, setOnce] = useState(false);
  const bids: BidChoices = useMemo(
    () => (isOnce ? { ...choices.bids, pace: 'to wanted' } : choices.bids),
    [choices.bids, isOnce],
  );
  const setChoices = ({ pace, ...rest }: Partial<BidChoices>) => {
    if (pace !== undefined) setOnce(pace === 'to wanted');
    const kept = pace === undefined || pace === 'to wanted' ? rest : { ...rest, pace };
    if (Object.keys(kept).length > 0) change({ bids: kept });
  };
  return { choices: bids, setChoices };
}

/** The targets of a step that tunes bids, with everything that is decided on them. */
export function useBidWork(account: AccountInfo | undefined, state: RoundState, tray: TrayState) {
  const engine = pageEngine();
  const isShown = isBidStep(state.step) && !state.isOverview;
  const step: BidStepName = isBidStep(state.step) ? state.step : 'dead';
  const version = treeVersion(account);
  const { choices, setChoices } = useBidChoices(state.choices);
  const limits = account?.limits ?? USUAL_LIMITS;
  const settings: BidSettings = useMemo(() => settingsOf(choices, limits), [choices, limits]);
  const lens = useQuery<LoadedLens, Error>({
    queryKey: ['bids', account?.id, version, state.from, state.to],
    queryFn: () => engine.loadBids(account!.id, version, state.from ?? undefined, state.to ?? undefined),
    enabled: account !== undefined,
    staleTime: Infinity,
    // The worker holds one load; one that was left is loaded anew.
    gcTime: 0,
    meta: { inWorker: true },
    refetchOnWindowFocus: false,
  });
  const { data: loaded } = lens;
  const decisions = useBidDecisions(account, step, tray);
  const { answer: plan, error: planFault } = useAnswer<BidSettings, PlanColumns & { loadId: number }>(
    loaded?.loadId,
    settings,
    (id, asked) => engine.planBids(id, asked),
  );
  const {
    answer: arranged,
    isCurrent,
    error: rowsFault,
  } = useAnswer<BidsAsked, ArrangedBids>(
    loaded?.loadId,
    {
      step,
      show: isShown ? state.show : 'proposed',
      settings,
      conditions: isShown ? state.conditions : [],
      sort: isShown ? (state.sort as BidsAsked['sort']) : null,
      staged: decisions.stagedIds,
      aside: decisions.asideIds,
    },
    (id, asked) => engine.arrangeBids(id, asked),
  );
  const [area, setArea] = useState<Area | null>(null);
  const source = useMemo(() => (plan ? sourceOf(plan) : null), [plan]);
  const shown = useMemo(
    () =>
      arranged && source && area ? rowsInArea(arranged.rows, source, area) : (arranged?.rows ?? NO_ROWS),
    [arranged, source, area],
  );
  const rows = useRows(shown, `${step} ${state.show}`);
  const points = useMemo(
    () => (arranged && source ? pointsOf(arranged.rows, source) : null),
    [arranged, source],
  );
  return {
    engine,
    accountAcos: account?.targetAcos ?? 0.25,
    loaded,
    error: lens.error ?? planFault ?? rowsFault,
    plan,
    arranged,
    isCurrent,
    step,
    choices,
    setChoices,
    settings,
    decisions,
    area,
    setArea,
    shown,
    rows,
    points,
    staged: decisions.staged,
  };
}

export type BidWork = ReturnType<typeof useBidWork>;

const NO_ROWS = new Int32Array();

/** A target stands at what its clicks bring and cost by the plan; its size is what it spends in a month. */
function sourceOf({ nowClicks, nowSpend, rpc, rpcLow, rpcHigh, grade }: PlanColumns): PointSource {
  return { clicks: nowClicks, spend: nowSpend, rpc, low: rpcLow, high: rpcHigh, grade };
}
