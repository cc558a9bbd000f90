import { useMemo, useState } from 'react';
import { campaignSubject } from '../../../contract/aside';
import { USUAL_LIMITS } from '../../../core/changes';
import type { LensTable } from '../../../core/lenses';
import { aheadOf, roundSettings } from '../../../plans/bids';
import type { RoundSettings } from '../../../plans/bids';
import { budgetChanges, pendingBudgets } from '../../../plans/budgets';
import type { BudgetsAsked, BudgetSettings, BudgetsPlan } from '../../../plans/budgets';
import type { ArrangedCampaigns } from '../../../plans/campaigns';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { PointSource } from '../../shared/picture/points';
import { useAnswer } from '../../shared/useAnswer';
import { useTell } from '../../shared/useTell';
import { inOrder, useCampaignDecisions, useCampaignLens } from '../campaigns';
import type { WorkAt } from '../steps/step';
import { ranDry } from './ranDry';
import { useStepRows } from '../useStepRows';

export const BUDGETS_NAME = 'budgets';

/** The campaigns of the account with what is proposed for their budgets, and everything that is decided on them. */
export function useBudgetWork({ account, state, tray, isWanted }: WorkAt) {
  const engine = pageEngine();
  const tell = useTell();
  const isShown = state.step === BUDGETS_NAME;
  const [editing, setEditing] = useState<number | null>(null);
  const { bids, money } = state.choices.choices;
  const limits = account?.limits ?? USUAL_LIMITS;
  const settings: RoundSettings = useMemo(
    () => roundSettings({ bids, money }, limits, aheadOf([...tray.changes, ...tray.sending])),
    [bids, limits, money, tray.changes, tray.sending],
  );
  const lens = useCampaignLens(account, state, isWanted);
  const { data: loaded } = lens;
  /** Budgets that were set by hand: the others give way. */
  const decisions = useCampaignDecisions<number>(account, BUDGETS_NAME, tray, pendingBudgets);
  const locks = useMemo(() => [...decisions.edits].sort(([a], [b]) => a - b), [decisions.edits]);
  const { answer: plan, error: planFault } = useAnswer<BudgetSettings, BudgetsPlan & { loadId: number }>(
    loaded?.loadId,
    { settings, locks },
    (id, asked) => engine.planBudgets(id, asked),
    lens.onGone,
  );
  const asked: Omit<BudgetsAsked, 'staged' | 'aside'> = {
    show: isShown && state.show !== 'testing' ? state.show : 'proposed',
    settings,
    locks,
    conditions: isShown ? state.conditions : [],
    sort: isShown ? (state.sort as BudgetsAsked['sort']) : null,
  };
  const {
    answer: arranged,
    isCurrent,
    error: rowsFault,
  } = useAnswer<BudgetsAsked, ArrangedCampaigns>(
    loaded?.loadId,
    { ...asked, staged: inOrder(decisions.stagedIds), aside: inOrder(decisions.asideIds) },
    (id, all) => engine.arrangeBudgets(id, all),
    lens.onGone,
  );
  const source = useMemo(() => (plan && loaded ? sourceOf(plan, loaded.table) : null), [plan, loaded]);
  const view = useStepRows(arranged?.rows, source, `${BUDGETS_NAME} ${state.show}`);

  /** Puts budgets into the tray. */
  const accept = async (rows: number[]) => {
    if (!loaded || !plan || rows.length === 0) return;
    const made = rows.flatMap((row) => {
      const changes = budgetChanges(plan.rows, loaded.table, [row]);
      return changes.length > 0 ? [{ subject: campaignSubject(plan.rows[row].campaignId), changes }] : [];
    });
    if (made.length === 0) tell('Nothing would change: the budgets stand as they are.');
    view.rows.clearSelection();
    await decisions.accept(made);
  };
  return {
    loaded,
    error: lens.error ?? planFault ?? rowsFault,
    plan,
    arranged,
    isCurrent,
    list: JSON.stringify([loaded?.loadId, asked.show, asked.conditions, asked.sort, locks]),
    settings,
    limits,
    decisions,
    view,
    accept,
    editing,
    setEditing,
    money,
    setMoney: (next: Partial<typeof money>) => state.choices.change({ money: next }),
    left: leftOf(plan, arranged),
    staged: { [BUDGETS_NAME]: new Set(decisions.stagedIds).size },
    hasData: !plan || plan.rows.some(({ from }) => from !== null),
  };
}

/** How much there is to do: what is proposed; while it is not said what may be spent, what ran dry. */
function leftOf(plan: BudgetsPlan | null, arranged: ArrangedCampaigns | null) {
  if (!plan || !arranged) return [];
  if (plan.isAsked) return [{ step: BUDGETS_NAME, left: arranged.left, money: arranged.money }];
  const { count, missed } = ranDry(plan);
  return [{ step: BUDGETS_NAME, left: count, money: missed }];
}

export type BudgetWork = ReturnType<typeof useBudgetWork>;

/** A campaign stands in the picture at what its clicks bring and cost; its size is what it spends in a month. */
function sourceOf({ rows }: BudgetsPlan, { rpc, rpcLow, rpcHigh, grade }: LensTable): PointSource {
  return {
    clicks: rows.map(({ now }) => now.clicks),
    spend: rows.map(({ now }) => now.spend),
    rpc,
    low: rpcLow,
    high: rpcHigh,
    grade,
  };
}
