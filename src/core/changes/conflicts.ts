import { holdsPhrase, matchForm } from '../matching';
import { formatMoney, formatShare } from '../units';
import type { Change } from './change';
import { setValueOf } from './value';

/** A staged change as far as others can stand in its way. */
export interface StagedChange {
  id: number;
  change: Change;
  campaignId: number | null;
  adGroupId: number | null;
  /** What stands now where it sets something; see isChangedSince. */
  present: number | string | null;
  /** Whether what it stands in runs. */
  runs: boolean;
}

/** One way out of a conflict. */
export type WayOut =
  { does: 'take-out'; ids: number[]; words: string } | { does: 'from-present'; ids: number[]; words: string };

/** Changes that do not go together, or one that does not go with what stands now. */
export interface Conflict {
  kind:
    | 'moved-on'
    | 'stands-already'
    | 'not-running'
    | 'ends-what-is-set'
    | 'pauses-what-is-set'
    | 'blocks-what-is-added';
  ids: number[];
  sentence: string;
  ways: WayOut[];
}

/** What does not go together among staged changes. Linear in them, but for phrase negatives against the keywords of their place. */
export function findConflicts(staged: readonly StagedChange[]): Conflict[] {
  return [...alone(staged), ...ofTargets(staged), ...ofPlaces(staged), ...blocked(staged)];
}

/** Conflicts of a change with what stands now. */
function alone(staged: readonly StagedChange[]): Conflict[] {
  return staged.flatMap(({ id, change, present, runs }): Conflict[] => {
    const value = setValueOf(change);
    if (
      value &&
      typeof present === 'number' &&
      change.kind !== 'add-keyword' &&
      change.kind !== 'add-item-target'
    ) {
      const show = (one: number | null) => (value.unit === 'money' ? formatMoney(one) : formatShare(one, 0));
      if (present === value.to)
        return [
          conflict('stands-already', [id], `It stands at ${show(present)} already.`, [
            out([id], 'Take it out'),
          ]),
        ];
      if (value.from !== null && present !== value.from)
        return [
          conflict('moved-on', [id], `Decided at ${show(value.from)}; ${show(present)} stands there now.`, [
            { does: 'from-present', ids: [id], words: `Go from ${show(present)} to ${show(value.to)}` },
            out([id], 'Take it out'),
          ]),
        ];
    }
    if (change.kind === 'set-state' && present === change.to)
      return [conflict('stands-already', [id], `It is ${change.to} already.`, [out([id], 'Take it out')])];
    if ((change.kind === 'archive-target' || change.kind === 'archive-negative') && present === 'archived')
      return [conflict('stands-already', [id], 'It has ended already.', [out([id], 'Take it out')])];
    if (change.kind === 'set-bid' && !runs)
      return [
        conflict(
          'not-running',
          [id],
          'Its target, ad group or campaign does not run: the bid would do nothing yet.',
          [out([id], 'Take it out')],
        ),
      ];
    return [];
  });
}

/** A target that is ended or paused needs no other bid. */
function ofTargets(staged: readonly StagedChange[]): Conflict[] {
  const byTarget = new Map<number, StagedChange[]>();
  for (const one of staged) {
    const target = targetOf(one.change);
    if (target === null) continue;
    const list = byTarget.get(target);
    if (list) list.push(one);
    else byTarget.set(target, [one]);
  }
  return [...byTarget.values()].flatMap((list): Conflict[] => {
    if (list.length < 2) return [];
    const end = list.find(({ change }) => change.kind === 'archive-target');
    const pause = list.find(({ change }) => change.kind === 'set-state' && change.to === 'paused');
    const stop = end ?? pause;
    if (!stop) return [];
    const others = list.filter((one) => one !== stop).map(({ id }) => id);
    return [
      conflict(
        end ? 'ends-what-is-set' : 'pauses-what-is-set',
        [stop.id, ...others],
        end
          ? 'The target is ended and set to something in one bale.'
          : 'The target is paused and given a bid in one bale.',
        [
          out(others, end ? 'End it only' : 'Pause it only'),
          out([stop.id], end ? 'Do not end it' : 'Do not pause it'),
        ],
      ),
    ];
  });
}

function targetOf(change: Change): number | null {
  if (change.kind === 'set-bid' || change.kind === 'archive-target') return change.targetId;
  return change.kind === 'set-state' && change.entity === 'target' ? change.id : null;
}

/** Bids inside a campaign or an ad group that is paused in the same bale. */
function ofPlaces(staged: readonly StagedChange[]): Conflict[] {
  return staged.flatMap((stop): Conflict[] => {
    const { change } = stop;
    if (change.kind !== 'set-state' || change.to !== 'paused' || change.entity === 'target') return [];
    const inside = staged.filter(
      (one) =>
        one !== stop &&
        (change.entity === 'campaign' ? one.campaignId : one.adGroupId) === change.id &&
        ['set-bid', 'set-modifier', 'set-budget', 'add-keyword', 'add-item-target'].includes(one.change.kind),
    );
    if (inside.length === 0) return [];
    const ids = inside.map(({ id }) => id);
    const what = change.entity === 'campaign' ? 'campaign' : 'ad group';
    return [
      conflict(
        'pauses-what-is-set',
        [stop.id, ...ids],
        `The ${what} is paused, and ${ids.length === 1 ? 'one change' : `${ids.length} changes`} inside it would do nothing.`,
        [out(ids, `Pause the ${what} only`), out([stop.id], `Do not pause the ${what}`)],
      ),
    ];
  });
}

/** Negatives that would block what is added in the same place. */
function blocked(staged: readonly StagedChange[]): Conflict[] {
  const added = new Map<number, { id: number; form: string; expression: string; adGroupId: number }[]>();
  for (const { id, change, campaignId } of staged) {
    if (change.kind !== 'add-keyword' || campaignId === null) continue;
    const list = added.get(campaignId) ?? [];
    added.set(campaignId, list);
    list.push({
      id,
      form: matchForm(change.expression),
      expression: change.expression,
      adGroupId: change.adGroupId,
    });
  }
  if (added.size === 0) return [];
  return staged.flatMap(({ id, change }): Conflict[] => {
    if (change.kind !== 'add-negative' || change.match === 'item') return [];
    const form = matchForm(change.expression);
    const hit = (added.get(change.campaignId) ?? []).filter(
      (one) =>
        (change.adGroupId === null || change.adGroupId === one.adGroupId) &&
        (change.match === 'exact' ? one.form === form : holdsPhrase(one.form, form)),
    );
    if (hit.length === 0) return [];
    const ids = hit.map((one) => one.id);
    return [
      conflict(
        'blocks-what-is-added',
        [id, ...ids],
        `The negative “${change.expression}” blocks ${hit.length === 1 ? `“${hit[0].expression}”, which is` : `${hit.length} keywords that are`} added in the same place.`,
        [out([id], 'Do not block'), out(ids, 'Do not add')],
      ),
    ];
  });
}

const conflict = (kind: Conflict['kind'], ids: number[], sentence: string, ways: WayOut[]): Conflict => ({
  kind,
  ids,
  sentence,
  ways,
});
const out = (ids: number[], words: string): WayOut => ({ does: 'take-out', ids, words });
