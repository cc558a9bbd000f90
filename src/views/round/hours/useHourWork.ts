import { useMemo } from 'react';
import { campaignSubject } from '../../../contract/aside';
import type { ScheduleRow } from '../../../contract/schedules';
import { USUAL_LIMITS } from '../../../core/changes';
import type { LensTable } from '../../../core/lenses';
import type { ArrangedCampaigns } from '../../../plans/campaigns';
import { HOURS_STEP, pendingSchedules, scheduleStake, wantsOf } from '../../../plans/hours';
import type { HoursAsked } from '../../../plans/hours';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import { useSchedules } from '../../shared/hours/useSchedules';
import type { PointSource } from '../../shared/picture/points';
import { useAnswer } from '../../shared/useAnswer';
import { useTell } from '../../shared/useTell';
import { inOrder, useCampaignDecisions, useCampaignLens } from '../campaigns';
import type { WorkAt } from '../steps/step';
import { useStepRows } from '../useStepRows';

/** The campaigns of the account with the week that their hours propose, and everything that is decided on them. */
export function useHourWork({ account, state, tray, isWanted }: WorkAt) {
  const engine = pageEngine();
  const tell = useTell();
  const isShown = state.step === HOURS_STEP;
  const lens = useCampaignLens(account, state, isWanted);
  const { data: loaded } = lens;
  const { data: plan, error: planFault } = useSchedules(isWanted ? account : undefined);
  const decisions = useCampaignDecisions<never>(account, HOURS_STEP, tray, pendingSchedules);
  const byId = useMemo(
    () => new Map((plan?.rows ?? []).map((row): [number, ScheduleRow] => [row.campaignId, row])),
    [plan],
  );
  const stakes = useMemo(
    () =>
      (plan?.rows ?? [])
        .filter(({ left }) => left === null)
        .map((row): [number, number] => [row.campaignId, scheduleStake(row)]),
    [plan],
  );
  const asked: Omit<HoursAsked, 'staged' | 'aside'> = {
    show: isShown && state.show !== 'testing' ? state.show : 'proposed',
    stakes,
    conditions: isShown ? state.conditions : [],
    sort: isShown ? (state.sort as HoursAsked['sort']) : null,
  };
  const {
    answer: arranged,
    isCurrent,
    error: rowsFault,
  } = useAnswer<HoursAsked, ArrangedCampaigns>(
    plan ? loaded?.loadId : undefined,
    { ...asked, staged: inOrder(decisions.stagedIds), aside: inOrder(decisions.asideIds) },
    (id, all) => engine.arrangeHours(id, all),
    lens.onGone,
  );
  const source = useMemo(() => (loaded ? sourceOf(loaded.table) : null), [loaded]);
  const view = useStepRows(arranged?.rows, source, `${HOURS_STEP} ${state.show}`);
  const rowOf = (row: number) => (loaded ? byId.get(loaded.table.campaignId[row]) : undefined);

  /** Puts schedules into the tray. */
  const accept = async (rows: number[]) => {
    const made = rows.flatMap((row) => {
      const one = rowOf(row);
      const changes = one ? wantsOf(one, account?.limits ?? USUAL_LIMITS) : [];
      return one && changes.length > 0 ? [{ subject: campaignSubject(one.campaignId), changes }] : [];
    });
    if (made.length === 0) tell('Nothing would change: the schedules stand as they are.');
    view.rows.clearSelection();
    await decisions.accept(made);
  };
  return {
    loaded,
    error: lens.error ?? planFault ?? rowsFault,
    plan,
    rowOf,
    arranged,
    isCurrent,
    list: JSON.stringify([loaded?.loadId, asked.show, asked.conditions, asked.sort]),
    decisions,
    view,
    accept,
    left: arranged ? [{ step: HOURS_STEP, left: arranged.left, money: arranged.money }] : [],
    staged: { [HOURS_STEP]: new Set(decisions.stagedIds).size },
    hasData: !plan || plan.window !== null,
    isOffered: !plan || (plan.offered !== null && plan.offered !== false),
  };
}

export type HourWork = ReturnType<typeof useHourWork>;

/** A campaign stands in the picture at what its clicks brought and cost in the window. */
function sourceOf({ now, rpc, rpcLow, rpcHigh, grade }: LensTable): PointSource {
  return { clicks: now.clicks, spend: now.spend, rpc, low: rpcLow, high: rpcHigh, grade };
}
