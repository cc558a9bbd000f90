import type { NewChange } from '../../../contract/changes';
import type { BuildPlan } from '../../../core/build';
import type { ProductCosts } from '../../../core/economics';
import type { Goal } from '../../../core/goals';
import type { Stage } from '../../../core/growth';
import type { NamedWeek } from '../../../contract/schedules';
import type { Rule } from '../../../core/rules';
import type { Route } from '../../../core/routes';

/** How something is undone: what is asked of the server. It is kept as text, so that it outlives the page. */
export type Undoing =
  | { kind: 'take-out'; ids: number[] }
  | { kind: 'stage'; changes: NewChange[] }
  /** Some go out of the tray, and these come back in place of what replaced them. */
  | { kind: 'put-back'; ids: number[]; changes: NewChange[] }
  | { kind: 'back-in-queue'; queue: string; subjects: string[] }
  | { kind: 'routes'; routes: Route[] }
  | { kind: 'costs'; productId: number; costs: ProductCosts }
  | { kind: 'goal'; goal: Goal }
  | { kind: 'no-goal'; goal: Goal }
  | { kind: 'choices' }
  /** A week that is kept by name: as it was, under the name that it had. */
  | { kind: 'week'; week: NamedWeek; was: string | null }
  | { kind: 'no-week'; name: string }
  /** A plan of campaigns as it was; one that was thrown away. */
  | { kind: 'plan'; id: number; plan: BuildPlan }
  | { kind: 'plan-back'; id: number }
  /** A picture of ads: whether it can be chosen, as it was. */
  | { kind: 'picture'; id: string; isRemoved: boolean }
  /** A rule as it was; one that was made; one that was removed. */
  | { kind: 'rule'; id: number; rule: Rule; isOn: boolean }
  | { kind: 'no-rule'; id: number }
  | { kind: 'rule-back'; id: number }
  /** Campaigns of a growth plan, by the stage that each was in; null: none. */
  | { kind: 'growth-campaigns'; id: number; campaigns: { campaignId: number; stage: Stage | null }[] };

export interface Undoable {
  /** What was done, as it is told: "3 changes accepted". */
  words: string;
  undoing: Undoing;
}

/** Where what can be undone is kept. */
export interface UndoShelf {
  read: () => Undoable[];
  write: (list: readonly Undoable[]) => void;
}

const MOST = 100;

/** What was done in an account and can be undone, the last first; also after the page was loaded again. */
export class UndoStore {
  private done: Undoable[];
  private settled: Promise<unknown> = Promise.resolve();
  private readonly shelf: UndoShelf;

  constructor(shelf: UndoShelf) {
    this.shelf = shelf;
    this.done = shelf.read();
  }

  private keep(list: Undoable[]): void {
    this.done = list.slice(-MOST);
    this.shelf.write(this.done);
  }

  /** Work that may end with something to undo: an undo that is pressed meanwhile waits for it. */
  during<T>(work: Promise<T>): Promise<T> {
    this.settled = Promise.allSettled([this.settled, work]);
    return work;
  }

  did(one: Undoable): void {
    this.keep([...this.done, one]);
  }

  /**
   * Undoes the last thing, or the one given. @param run false: there was nothing left of it to undo
   * @returns what was undone, and whether there was anything of it; null for nothing @throws what `run` throws; it can be undone again then
   */
  async undo(
    run: (undoing: Undoing) => Promise<boolean>,
    wanted?: Undoable,
  ): Promise<{ one: Undoable; isDone: boolean } | null> {
    await this.settled;
    const one = wanted ?? this.done.at(-1);
    if (!one || !this.done.includes(one)) return null;
    const at = this.done.indexOf(one);
    this.keep(this.done.filter((other) => other !== one));
    try {
      return { one, isDone: await this.during(run(one.undoing)) };
    } catch (error) {
      this.keep([...this.done.slice(0, at), one, ...this.done.slice(at)]);
      throw error;
    }
  }
}
