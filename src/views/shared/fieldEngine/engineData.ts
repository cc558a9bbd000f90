import type { TreeIndex } from '../../../core/structure';
import { indexTree } from '../../../core/structure';
import type { LensGrain } from '../../../core/lenses';
import type { AskedWindow } from '../../../contract/requests';
import { wholePlan } from '../../../plans/bids';
import type { RoundPlan, RoundSettings } from '../../../plans/bids';
import { toGrainSums } from '../../../plans/field';
import type { LoadedSums } from '../../../plans/field';
import type { api } from '../api';
import { shareColumns } from '../worker/shareColumns';
import type { DataVersion } from './dataVersion';

/** What of the server the engine asks. */
export type FieldServer = Pick<typeof api, 'tree' | 'fieldSums' | 'bidPlan' | 'askBids'>;

/** Sums of so many windows and grains are kept, and plans of so many settings, the oldest let go. */
const SUMS_KEPT = 4;
const PLANS_KEPT = 4;

const keyOf = (account: number, { revision, targetAcos }: DataVersion) =>
  `${account} ${revision} ${targetAcos}`;

/** What the engine works from: an account's tree, sums and plans, asked for once in each state of them. */
export function engineData(server: FieldServer) {
  let known: { key: string; index: Promise<TreeIndex> } | null = null;
  let above: { key: string; index: Promise<TreeIndex> } | null = null;
  /** Plans at several paces share what no pace changes. */
  const plans = new Map<string, Promise<RoundPlan>>();
  /** The last plan that came: another pace is told as what differs from it. */
  let lastPlan: RoundPlan | null = null;
  const sums = new Map<string, Promise<LoadedSums>>();

  /** The account's tree; asked for anew when its version is another one. */
  function treeOf(account: number, version: DataVersion): Promise<TreeIndex> {
    const key = keyOf(account, version);
    if (known?.key !== key) known = { key, index: server.tree(account).then(indexTree) };
    const { index } = known;
    index.catch(() => (known = null)); // a failure is not kept
    return index;
  }

  /** The tree, if it is here; else that of what targets hang in, which is here sooner. */
  function outlineOf(account: number, version: DataVersion): Promise<TreeIndex> {
    const key = keyOf(account, version);
    if (known?.key === key) return known.index;
    if (above?.key !== key) above = { key, index: server.tree(account, 'none').then(indexTree) };
    const { index } = above;
    index.catch(() => (above = null));
    return index;
  }

  function sumsOf(account: number, { revision }: DataVersion, grain: LensGrain, asked: AskedWindow) {
    const key = `${account} ${revision} ${grain} ${asked.from} ${asked.to} ${asked.versus}`;
    let known = sums.get(key);
    if (!known) {
      known = server.fieldSums(account, grain, asked).then(toGrainSums);
      known.catch(() => sums.delete(key));
      sums.set(key, known);
      if (sums.size > SUMS_KEPT) sums.delete(sums.keys().next().value!);
    }
    return known;
  }

  /** A bid for every target at some settings. */
  function planOf(account: number, version: DataVersion, settings: RoundSettings): Promise<RoundPlan> {
    const key = `${keyOf(account, version)} ${JSON.stringify(settings)}`;
    let known = plans.get(key);
    if (!known) {
      known = askPlan(account, settings);
      known.catch(() => plans.delete(key));
      plans.set(key, known);
      if (plans.size > PLANS_KEPT) plans.delete(plans.keys().next().value!);
    }
    return known;
  }

  async function askPlan(account: number, settings: RoundSettings): Promise<RoundPlan> {
    const from = lastPlan;
    const plan = wholePlan(await server.bidPlan(account, settings, from?.base), from);
    // Once: the columns that stay are handed to the page with every plan.
    if (globalThis.crossOriginIsolated) shareColumns(plan);
    if (from && from.base !== plan.base) letGoOf(from.base);
    return (lastPlan = plan);
  }

  /** What starts from elsewhere shares nothing with what is asked for now. */
  function letGoOf(base: string) {
    for (const [key, one] of plans)
      one.then(
        (plan) => plan.base === base && plans.get(key) === one && plans.delete(key),
        () => undefined, // told to whoever asked for it
      );
  }

  return { treeOf, outlineOf, sumsOf, planOf };
}
