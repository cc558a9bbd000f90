import type { Aside, AsideVerdict } from '../../../contract/aside';
import type { NewChange } from '../../../contract/changes';
import { counted, formatDay } from '../../../core/units';
import { joinChanges } from '../../../plans/terms';
import type { Undoable } from '../../shared/undo/undoStore';
import type { TellKind } from '../../shared/useTell';

/** What the store asks of the world. */
export interface DecisionPorts {
  /** Ids of what was staged; null for what was staged or under way already. */
  stage: (changes: NewChange[]) => Promise<(number | null)[]>;
  /** Rows were put aside, which can be undone. What is staged is undone by the tray. */
  did: (one: Undoable) => void;
  /** Work under way: an undo waits for it. */
  during: <T>(work: Promise<T>) => Promise<T>;
  /** Under which name rows of the queue are put aside. */
  queue: string;
  /** Puts subjects aside, or takes them back. @returns until when */
  putAside: (subjects: string[], verdict: AsideVerdict | 'back', more: AsideMore) => Promise<string>;
  tell: (sentence: string, kind?: TellKind) => void;
  /** What one row is called: "target", "term". */
  noun: string;
}

export interface AsideMore {
  until?: string;
  note?: string;
  /** Of an accepted loss, micros; null: whatever it is. */
  most?: number | null;
}

/** An accepted row: its subject, and the changes that it comes to. */
export interface Acceptance {
  subject: string;
  changes: NewChange[];
}

export interface DecisionState<E> {
  /** Accepted, not answered yet: they leave the queue at once, so that a quick second key meets the next row. */
  underWay: readonly string[];
  /** Verdicts that the server has not confirmed yet; null: taken back. */
  ahead: ReadonlyMap<string, Omit<Aside, 'queue'> | null>;
  /** What is done instead of what is proposed, by subject. */
  edits: ReadonlyMap<string, E>;
  isBusy: boolean;
}

const VERDICTS: Record<AsideVerdict, string> = {
  left: 'left as they are',
  later: 'put off',
  'accepted-loss': 'accepted as a loss',
};

/**
 * What the specialist decides on the rows of a queue: accept, leave, later, accepted loss, edit. Outside React, so that it can be
 * held to its word: everything is shown at once and taken back where the server refuses it.
 */
export class DecisionStore<E> {
  private state: DecisionState<E> = { underWay: [], ahead: new Map(), edits: new Map(), isBusy: false };
  private readonly listeners = new Set<() => void>();
  private running = 0;
  private readonly ports: () => DecisionPorts;

  /** @param ports asked for at each use: they change as the page does */
  constructor(ports: () => DecisionPorts) {
    this.ports = ports;
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  private set(changes: Partial<DecisionState<E>>): void {
    this.state = { ...this.state, ...changes, isBusy: this.running > 0 };
    for (const listener of this.listeners) listener();
  }

  /** Runs work that is shown as busy. */
  private while<T>(work: () => Promise<T>): Promise<T> {
    this.running += 1;
    this.set({});
    return this.ports().during(
      work().finally(() => {
        this.running -= 1;
        this.set({});
      }),
    );
  }

  /** Does something else with a row than what is proposed; null: what is proposed again. */
  edit(subject: string, edit: E | null): void {
    const edits = new Map(this.state.edits);
    if (edit === null) edits.delete(subject);
    else edits.set(subject, edit);
    this.set({ edits });
  }

  /** Stages what rows come to. A refusal is told by the tray. */
  async accept(list: readonly Acceptance[]): Promise<void> {
    if (list.length === 0) return;
    const subjects = list.map(({ subject }) => subject);
    this.set({ underWay: [...this.state.underWay, ...subjects] });
    const gone = new Set(subjects);
    await this.while(async () => {
      const { stage, tell } = this.ports();
      try {
        const ids = await stage(joinChanges(list.map(({ changes }) => changes)));
        const there = ids.filter((id) => id === null).length;
        if (there > 0) tell(`${counted(there, 'change')} staged or under way already.`, 'warning');
      } catch {
        // Told already; the rows come back into the queue.
      } finally {
        this.set({ underWay: this.state.underWay.filter((one) => !gone.has(one)) });
      }
    });
  }

  async put(subjects: readonly string[], verdict: AsideVerdict, more: AsideMore = {}): Promise<void> {
    if (subjects.length === 0) return;
    await this.verdict(subjects, verdict, more, (until) => {
      const { noun, queue, did } = this.ports();
      const what = subjects.length === 1 ? VERDICTS[verdict].replace('they are', 'it is') : VERDICTS[verdict];
      const words = `${counted(subjects.length, noun)} ${what} until ${formatDay(until)}`;
      did({ words, undoing: { kind: 'back-in-queue', queue, subjects: [...subjects] } });
    });
  }

  async takeBack(subjects: readonly string[]): Promise<void> {
    await this.verdict(subjects, 'back', {});
  }

  private async verdict(
    subjects: readonly string[],
    verdict: AsideVerdict | 'back',
    more: AsideMore,
    onKept: (until: string) => void = () => {},
  ): Promise<void> {
    const { until = '', note = '' } = more;
    const own = new Map(
      subjects.map((subject) => [subject, verdict === 'back' ? null : { subject, verdict, until, note }]),
    );
    this.set({ ahead: new Map([...this.state.ahead, ...own]) });
    const settle = () => {
      // A later verdict on the same row stays until its own answer.
      const ahead = new Map(this.state.ahead);
      for (const [subject, value] of own) if (ahead.get(subject) === value) ahead.delete(subject);
      this.set({ ahead });
    };
    return this.while(async () => {
      const { putAside, tell } = this.ports();
      try {
        onKept(await putAside([...subjects], verdict, more));
      } catch (error) {
        tell((error as Error).message, 'fault');
      } finally {
        settle();
      }
    });
  }
}
