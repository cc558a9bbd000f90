import type { Aside, AsideVerdict } from '../../../contract/aside';
import type { NewChange } from '../../../contract/changes';
import { formatDay } from '../../../core/units';
import { joinChanges } from '../../../plans/terms';
import type { TellKind } from '../../shared/useTell';

/** What the store asks of the world. */
export interface DecisionPorts {
  /** Ids of what was staged; null for what was staged or under way already. */
  stage: (changes: NewChange[]) => Promise<(number | null)[]>;
  withdraw: (ids: number[]) => Promise<unknown>;
  /** Puts subjects aside, or takes them back. @returns until when */
  putAside: (subjects: string[], verdict: AsideVerdict | 'back', more: AsideMore) => Promise<string>;
  tell: (sentence: string, kind?: TellKind) => void;
  /** What one row is called: "target", "term". */
  noun: string;
}

export interface AsideMore {
  until?: string;
  note?: string;
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

type Done = { kind: 'accepted'; ids: number[] } | { kind: 'aside'; subjects: string[] };

const VERDICTS: Record<AsideVerdict, string> = {
  left: 'left as they are',
  later: 'put off',
  'accepted-loss': 'accepted as a loss',
};

/**
 * What the specialist decides on the rows of a queue: accept, leave, later, accepted loss, edit, undo. Outside React, so that it can be
 * held to its word: everything is shown at once and taken back where the server refuses it.
 */
export class DecisionStore<E> {
  private state: DecisionState<E> = { underWay: [], ahead: new Map(), edits: new Map(), isBusy: false };
  private readonly listeners = new Set<() => void>();
  private readonly done: Done[] = [];
  private running = 0;
  private settled: Promise<void> = Promise.resolve();
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

  /** Runs work that is shown as busy; what is undone waits for all that began before it. */
  private while<T>(work: () => Promise<T>): Promise<T> {
    this.running += 1;
    this.set({});
    const result = work().finally(() => {
      this.running -= 1;
      this.set({});
    });
    this.settled = Promise.allSettled([this.settled, result]).then(() => {});
    return result;
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
        const staged = ids.filter((id): id is number => id !== null);
        const there = ids.length - staged.length;
        if (there > 0) tell(`${plural(there, 'change')} staged or under way already.`, 'warning');
        if (staged.length > 0) this.done.push({ kind: 'accepted', ids: staged });
      } catch {
        // Told already; the rows come back into the queue.
      } finally {
        this.set({ underWay: this.state.underWay.filter((one) => !gone.has(one)) });
      }
    });
  }

  async put(subjects: readonly string[], verdict: AsideVerdict, more: AsideMore = {}): Promise<void> {
    if (subjects.length === 0) return;
    const until = await this.verdict(subjects, verdict, more, () =>
      this.done.push({ kind: 'aside', subjects: [...subjects] }),
    );
    if (until === null) return;
    const { noun, tell } = this.ports();
    const words = subjects.length === 1 ? VERDICTS[verdict].replace('they are', 'it is') : VERDICTS[verdict];
    tell(`${plural(subjects.length, noun)} ${words} until ${formatDay(until)}. u takes it back.`);
  }

  async takeBack(subjects: readonly string[]): Promise<void> {
    await this.verdict(subjects, 'back', {});
  }

  /** @returns until when, null where the server refused it */
  private async verdict(
    subjects: readonly string[],
    verdict: AsideVerdict | 'back',
    more: AsideMore,
    onKept: () => void = () => {},
  ): Promise<string | null> {
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
        const kept = await putAside([...subjects], verdict, more);
        onKept();
        return kept;
      } catch (error) {
        tell((error as Error).message, 'fault');
        return null;
      } finally {
        settle();
      }
    });
  }

  /** Takes back the last decision of this page that was not taken back yet. */
  async undo(): Promise<void> {
    await this.settled;
    const last = this.done.pop();
    const { withdraw, tell, noun } = this.ports();
    if (!last) return tell('Nothing to undo on this page.');
    if (last.kind === 'aside') {
      if ((await this.verdict(last.subjects, 'back', {})) === null) this.done.push(last);
      else tell(`${plural(last.subjects.length, noun)} back in the queue.`);
      return;
    }
    await this.while(async () => {
      try {
        await withdraw(last.ids);
        tell(`${plural(last.ids.length, 'change')} taken out of the tray.`);
      } catch {
        this.done.push(last); // told already
      }
    });
  }
}

const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`;
