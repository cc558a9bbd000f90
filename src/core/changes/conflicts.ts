import { holdsPhrase, matchForm } from '../matching';
import { groupBy } from '../order';
import { formatMoney, formatShare } from '../units';
import { blockOf, entitiesOf, isMaking, setValueOf, stopOf } from './change';
import { specOf } from './kinds';
import type { Change } from './kinds';

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
  | { does: 'take-out'; ids: number[]; words: string }
  | { does: 'from-present'; ids: number[]; words: string };

/** Changes that do not go together, or one that does not go with what stands now. */
export interface Conflict {
  kind:
    | 'moved-on'
    | 'stands-already'
    | 'not-running'
    | 'ends-what-is-set'
    | 'pauses-what-is-set'
    | 'blocks-what-is-added'
    | 'two-schedules';
  ids: number[];
  sentence: string;
  ways: WayOut[];
}

/** What does not go together among staged changes. Linear in them, but for phrase negatives against the keywords of their place. */
export function findConflicts(staged: readonly StagedChange[]): Conflict[] {
  return [
    ...alone(staged),
    ...ofTargets(staged),
    ...ofPlaces(staged),
    ...blocked(staged),
    ...schedules(staged),
  ];
}

/** Conflicts of a change with what stands now. */
function alone(staged: readonly StagedChange[]): Conflict[] {
  return staged.flatMap(({ id, change, present, runs }): Conflict[] => {
    const spec = specOf(change);
    const value = setValueOf(change);
    if (value && typeof present === 'number' && !isMaking(change)) {
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
    const already = spec.standsAlready?.(change, present) ?? null;
    if (already !== null) return [conflict('stands-already', [id], already, [out([id], 'Take it out')])];
    if (spec.needsRunning && !runs)
      return [
        conflict(
          'not-running',
          [id],
          'Its target, ad group or campaign is not running: the bid would do nothing yet.',
          [out([id], 'Take it out')],
        ),
      ];
    return [];
  });
}

/** A target that is ended or paused needs no other bid. */
function ofTargets(staged: readonly StagedChange[]): Conflict[] {
  const byTarget = groupBy(staged, ({ change }) => entitiesOf(change).target);
  return [...byTarget].flatMap(([target, list]): Conflict[] => {
    if (target === undefined || list.length < 2) return [];
    const stops = (how: 'pause' | 'end') => list.find(({ change }) => stopOf(change)?.how === how);
    const end = stops('end');
    const stop = end ?? stops('pause');
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

/** Bids inside a campaign or an ad group that is paused in the same bale. */
function ofPlaces(staged: readonly StagedChange[]): Conflict[] {
  const idle = staged.filter(({ change }) => specOf(change).idleWhenPaused);
  const inside = {
    campaign: groupBy(idle, ({ campaignId }) => campaignId),
    'ad-group': groupBy(idle, ({ adGroupId }) => adGroupId),
  };
  return staged.flatMap((one): Conflict[] => {
    const stop = stopOf(one.change);
    if (!stop || stop.how !== 'pause' || stop.entity === 'target') return [];
    const ids = (inside[stop.entity].get(stop.id) ?? []).map(({ id }) => id);
    if (ids.length === 0) return [];
    const what = stop.entity === 'campaign' ? 'campaign' : 'ad group';
    return [
      conflict(
        'pauses-what-is-set',
        [one.id, ...ids],
        `The ${what} is paused, and ${ids.length === 1 ? 'one change' : `${ids.length} changes`} inside it would do nothing.`,
        [out(ids, `Pause the ${what} only`), out([one.id], `Do not pause the ${what}`)],
      ),
    ];
  });
}

/** Negatives that would block what is added in the same place. */
function blocked(staged: readonly StagedChange[]): Conflict[] {
  const words = staged.flatMap(({ id, change, campaignId }) => {
    const added = specOf(change).adds?.(change);
    return added ? [{ id, campaignId, ...added, form: matchForm(added.expression) }] : [];
  });
  if (words.length === 0) return [];
  const added = groupBy(words, ({ campaignId }) => campaignId);
  return staged.flatMap(({ id, change }): Conflict[] => {
    const block = blockOf(change);
    if (!block || block.match === 'item') return [];
    const form = matchForm(block.expression);
    const hit = (added.get(block.campaignId) ?? []).filter(
      (one) =>
        (block.adGroupId === null || block.adGroupId === one.adGroupId) &&
        (block.match === 'exact' ? one.form === form : holdsPhrase(one.form, form)),
    );
    if (hit.length === 0) return [];
    const ids = hit.map((one) => one.id);
    return [
      conflict(
        'blocks-what-is-added',
        [id, ...ids],
        `The negative “${block.expression}” blocks ${hit.length === 1 ? `“${hit[0].expression}”, which is` : `${hit.length} keywords that are`} added in the same place.`,
        [out([id], 'Do not block'), out(ids, 'Do not add')],
      ),
    ];
  });
}

/** A campaign that follows a schedule already is put on another one: the market would go by both. */
function schedules(staged: readonly StagedChange[]): Conflict[] {
  const ended = new Set(staged.flatMap(({ change }) => specOf(change).frees?.(change) ?? []));
  return staged.flatMap(({ id, change, campaignId, present }): Conflict[] =>
    specOf(change).makes === 'schedule' &&
    typeof present === 'string' &&
    (campaignId === null || !ended.has(campaignId))
      ? [
          conflict(
            'two-schedules',
            [id],
            `The campaign follows the schedule ${present} already, and would follow both. End that first.`,
            [out([id], 'Take it out')],
          ),
        ]
      : [],
  );
}

const conflict = (kind: Conflict['kind'], ids: number[], sentence: string, ways: WayOut[]): Conflict => ({
  kind,
  ids,
  sentence,
  ways,
});
const out = (ids: number[], words: string): WayOut => ({ does: 'take-out', ids, words });
