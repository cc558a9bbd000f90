import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlanAnswer } from '../../../contract/build';
import { campaignsOf, crossings } from '../../../core/build';
import type { BuildPlan, PlanFault } from '../../../core/build';
import { groupBy } from '../../../core/order';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';
import { api } from '../../shared/api';
import { buildApi } from './buildApi';

/** What undo calls an edit of names, and of one of them. */
export const NAMES_EDITED = 'the names were edited';
export const NAME_EDITED = 'a name was edited';
/** A plan rests so long before it is kept and looked at. */
const REST_MS = 350;
/** Edits of the same thing that follow so closely are one. */
const ONE_EDIT_MS = 1500;
/** Edits that are told letter by letter. */
const TYPED: readonly string[] = [NAMES_EDITED, NAME_EDITED];

/**
 * A plan in the page: what is edited shows at once, is kept by the server when the hand rests, and comes back with every fault of it.
 */
export function usePlan(account: AccountInfo, id: number) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account.id);
  const key = useMemo(
    () => ['build', account.id, 'plan', id, account.revision],
    [account.id, account.revision, id],
  );
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => buildApi.plan(account.id, id),
    placeholderData: (before) => (before?.id === id ? before : undefined),
    refetchInterval: ({ state }) => (state.data && isUnderWay(state.data) ? 1500 : false),
  });
  const [edited, setEdited] = useState<BuildPlan | null>(null);
  const latest = useRef<BuildPlan | null>(null);
  const last = useRef<{ words: string; at: number } | null>(null);
  const [isSaving, setSaving] = useState(false);
  /** Told when what is edited has been kept: an undo that is pressed before waits for it. */
  const kept = useRef<(() => void) | null>(null);

  const save = async (plan: BuildPlan): Promise<PlanAnswer | null> => {
    setSaving(true);
    try {
      const answer = await api.savePlan({ account: account.id, id, plan });
      client.setQueryData(key, answer);
      // What was typed meanwhile stays as it is.
      if (latest.current === plan) {
        latest.current = null;
        setEdited(null);
      }
      return answer;
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
      return null;
    } finally {
      setSaving(false);
      if (latest.current === null || latest.current === plan) {
        kept.current?.();
        kept.current = null;
      }
    }
  };
  const saveLatest = useRef(save);
  saveLatest.current = save;
  useEffect(() => {
    if (edited === null) return undefined;
    const timer = setTimeout(() => void saveLatest.current(edited), REST_MS);
    return () => clearTimeout(timer);
  }, [edited]);
  // A place that is left keeps nothing back.
  useEffect(
    () => () => {
      if (latest.current) void saveLatest.current(latest.current);
    },
    [],
  );

  const plan = edited ?? data?.plan ?? null;
  /** Edits the plan. @param words what was done, for undo */
  const edit = (change: Partial<BuildPlan>, words = 'the plan was edited') => {
    if (!plan) return;
    const next = { ...plan, ...change };
    // Letters of one word are one edit: undone together.
    const isSame =
      TYPED.includes(words) && last.current?.words === words && Date.now() - last.current.at < ONE_EDIT_MS;
    last.current = { words, at: Date.now() };
    if (!isSame) undo.did({ words, undoing: { kind: 'plan', id, plan } }, { isQuiet: true });
    latest.current = next;
    setEdited(next);
    if (!kept.current) void undo.during(new Promise<void>((resolve) => (kept.current = resolve)));
  };
  const campaigns = useMemo(() => (plan ? campaignsOf(plan, account.limits) : []), [plan, account.limits]);
  return {
    id,
    account,
    data,
    error,
    plan,
    campaigns,
    crossings: useMemo(() => (plan ? crossings(campaigns, plan.uncrossed) : []), [campaigns, plan]),
    faults: useFaults(data?.faults),
    edit,
    undo,
    /** Whether what is shown has been kept and looked at. */
    isKept: edited === null && !isSaving,
    keepNow: () => (edited ? save(edited) : Promise.resolve(data ?? null)),
    look: () => client.invalidateQueries({ queryKey: ['build', account.id] }),
  };
}

/** Faults by where they stand, and by the list that they stand in. */
function useFaults(faults: PlanAnswer['faults'] | undefined) {
  return useMemo(() => {
    const all = faults ?? [];
    const at = groupBy(all, (fault) => fault.at);
    const inList = groupBy(all, (fault) => fault.at.split('.')[0]);
    return {
      all,
      at: (place: string): PlanFault[] => at.get(place) ?? [],
      in: (list: string): PlanFault[] => inList.get(list) ?? [],
      wrong: all.filter(({ weight }) => weight === 'wrong'),
    };
  }, [faults]);
}

const isUnderWay = ({ lines }: PlanAnswer) => Object.values(lines).some(({ state }) => state === 'sending');

export type PlanState = ReturnType<typeof usePlan>;
/** A plan that is here. */
export type OpenPlan = PlanState & { plan: BuildPlan; data: PlanAnswer };
