import { useMemo, useState } from 'react';
import { BID_QUEUE, idsOfSubject, targetSubject } from '../../../contract/aside';
import type { AccountInfo } from '../../../contract/api';
import { BID_STEP_NAMES } from '../../../contract/review';
import type { BidStepName } from '../../../contract/review';
import type { BidChoices, PlanColumns } from '../../../core/bids';
import { USUAL_LIMITS } from '../../../core/changes';
import { aheadOf, pendingTargets, roundSettings } from '../../../plans/bids';
import type { ArrangedBids, BidEdit, BidsAsked, RoundSettings } from '../../../plans/bids';
import type { LoadedLens } from '../../../plans/field';
import { dataVersion } from '../../shared/fieldEngine/dataVersion';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { PointSource } from '../../shared/picture/points';
import type { TrayState } from '../../shared/tray/useTray';
import { useWorkerLoad } from '../../shared/worker/useWorkerLoad';
import { useAnswer } from '../../shared/useAnswer';
import { useDwell } from '../../shared/useDwell';
import type { ChoicesState } from '../../shared/useChoices';
import { useDecisions } from '../decisions/useDecisions';
import type { Decisions } from '../decisions/useDecisions';
import type { WorkAt } from '../steps/step';
import { useStepRows } from '../useStepRows';
import { bidsAsked, withoutDecided } from './bidsAsked';
import { bidsLoad } from './bidsLoad';

const QUEUE = { name: BID_QUEUE, noun: 'target' };

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

const idOf = (subject: string) => idsOfSubject(subject)[0];

/** What is decided on targets, by their ids. */
function useBidDecisions(account: AccountInfo | undefined, tray: TrayState) {
  const decisions = useDecisions<BidEdit>(account, QUEUE, tray);
  const pending = useMemo(
    () => pendingTargets([...tray.changes, ...tray.sending]),
    [tray.changes, tray.sending],
  );
  return useMemo(() => byTarget(decisions, pending), [decisions, pending]);
}

/** The same, by targets instead of subjects. @param pending in the tray or under way, with their steps */
function byTarget(decisions: Decisions<BidEdit>, pending: ReturnType<typeof pendingTargets>) {
  const { aside, edits, underWay, edit, put, takeBack } = decisions;
  return {
    ...decisions,
    edits: new Map([...edits].map(([subject, one]) => [idOf(subject), one])),
    edit: (targetId: number, change: BidEdit | null) => edit(targetSubject(targetId), change),
    asideIds: [...aside.keys()].map(idOf),
    stagedIds: [...pending.keys(), ...underWay.map(idOf)],
    pending,
    put: (
      ids: readonly number[],
      ...more: Parameters<typeof put> extends [unknown, ...infer M] ? M : never
    ) => put(ids.map(targetSubject), ...more),
    takeBack: (ids: readonly number[]) => takeBack(ids.map(targetSubject)),
  };
}

export type BidDecisions = ReturnType<typeof useBidDecisions>;

/** The targets of the steps that tune bids, with everything that is decided on them. */
export function useBidWork({ account, state, tray, isWanted }: WorkAt) {
  const engine = pageEngine();
  const { choices, setChoices } = useBidChoices(state.choices);
  const limits = account?.limits ?? USUAL_LIMITS;
  const ahead = useMemo(() => aheadOf([...tray.changes, ...tray.sending]), [tray.changes, tray.sending]);
  const { money } = state.choices.choices;
  const settings: RoundSettings = useMemo(
    () => roundSettings({ bids: choices, money }, limits, ahead),
    [choices, money, limits, ahead],
  );
  const lens = useWorkerLoad(bidsLoad(account, state.from, state.to), isWanted && account !== undefined);
  const { data: loaded } = lens;
  const decisions = useBidDecisions(account, tray);
  const { answer: plan, error: planFault } = useAnswer<RoundSettings, PlanColumns & { loadId: number }>(
    loaded?.loadId,
    settings,
    (id, asked) => engine.planBids(id, asked),
    lens.onGone,
  );
  /** Asks for the plan at other choices that are likely to be taken next: it is on its way when they are. */
  const lookAhead = useDwell((over: Partial<BidChoices>) => {
    const other = roundSettings({ bids: { ...choices, ...over }, money }, limits, ahead);
    if (account && plan) void engine.readPlan(account.id, dataVersion(account), other);
  });
  const asked = bidsAsked(state.step, state, settings);
  const { step } = asked;
  const {
    answer: arranged,
    isCurrent,
    error: rowsFault,
  } = useAnswer<BidsAsked, ArrangedBids>(
    loaded?.loadId,
    withoutDecided(asked, decisions.stagedIds, decisions.asideIds),
    (id, all) => engine.arrangeBids(id, all),
    lens.onGone,
  );
  const source = useMemo(() => (plan ? sourceOf(plan) : null), [plan]);
  const view = useStepRows(arranged?.rows, source, `${step} ${state.show}`);
  return {
    engine,
    accountAcos: account?.targetAcos ?? 0.25,
    loaded,
    error: lens.error ?? planFault ?? rowsFault,
    plan,
    arranged,
    isCurrent,
    list: JSON.stringify([loaded?.loadId, asked]),
    step,
    choices,
    setChoices,
    lookAhead,
    settings,
    decisions,
    view,
    left: arranged?.steps ?? [],
    staged: stagedBySteps(decisions, step),
    hasData: !loaded || hasBids(loaded),
  };
}

export type BidWork = ReturnType<typeof useBidWork>;

/** Whether there is a bid to tune at all. */
const hasBids = ({ table }: LoadedLens) => table.value.some((bid) => !Number.isNaN(bid));

/** Accepted in this tray, by the step in which it was; what is under way belongs to the step that is shown. */
function stagedBySteps({ pending, underWay }: BidDecisions, step: BidStepName): Record<string, number> {
  const steps = [...pending.values(), ...underWay.map(() => step)];
  return Object.fromEntries(BID_STEP_NAMES.map((name) => [name, steps.filter((one) => one === name).length]));
}

/** A target stands at what its clicks bring and cost by the plan; its size is what it spends in a month. */
function sourceOf({ nowClicks, nowSpend, rpc, rpcLow, rpcHigh, grade }: PlanColumns): PointSource {
  return { clicks: nowClicks, spend: nowSpend, rpc, low: rpcLow, high: rpcHigh, grade };
}
