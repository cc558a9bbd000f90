import type { Aside } from '../../contract/aside';
import type { ChangeInfo } from '../../contract/changes';
import type { AccountInfo } from '../../contract/api';
import type { Given } from '../../contract/given';
import type { AheadLoad } from '../shared/worker/workerLoad';
import type { RoundView } from './roundView';

/** What is decided on an account's rows before a page is drawn. */
export interface Decided {
  /** In the tray or under way. */
  pending: readonly ChangeInfo[];
  /** Subjects that are put aside in a queue. */
  asideIn: (queue: string) => string[];
}

/**
 * What a step of the round asks for before its page is drawn.
 * @param decided null: it is not known yet, and the page asks when it is
 */
export type StepAhead<T> = (
  account: AccountInfo,
  view: RoundView,
  step: string,
  decided: Decided | null,
) => AheadLoad<T>;

/** As it came with the page; null where not all of it did. */
export function decidedOf(all: Given | undefined, account: number): Decided | null {
  const of = all?.of;
  if (of?.account !== account || !of.staged || !of.sending || !of.aside) return null;
  const { aside }: { aside: Aside[] } = of.aside;
  return {
    pending: [...of.staged, ...of.sending],
    asideIn: (queue) => aside.filter((one) => one.queue === queue).map(({ subject }) => subject),
  };
}
