import type { ComponentType } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { ChangePurpose } from '../../../core/changes';
import type { KeyLine } from '../../shared/frame/KeysHelp';
import type { TrayState } from '../../shared/tray/useTray';
import type { WindowState } from '../../shared/window/windowState';
import type { RoundState } from '../useRoundState';

/** What a step gets from the round. */
export interface RoundAt {
  account: AccountInfo | undefined;
  state: RoundState;
  tray: TrayState;
  /** Why there is nothing to work on; null when all is well. */
  fault: Error | null;
  window: WindowState;
}

/** What a step's work gets beside that. */
export interface WorkAt extends RoundAt {
  /** Whether it is to be loaded by now: what is looked at goes first. */
  isWanted: boolean;
}

/** How much there is to do in a step. Money in micros. */
export interface StepLeft {
  step: string;
  left: number;
  money: number;
}

/** What steps over the same rows share: loaded and arranged once, whichever of them is shown. */
export interface Work<W extends WorkState = WorkState> {
  useWork: (at: WorkAt) => W;
}

export interface WorkState {
  /** What is left in each of its steps; empty while that is worked out. */
  left: readonly StepLeft[];
  /** Accepted in this tray, by step. */
  staged: Readonly<Record<string, number>>;
  /** Whether the account holds what its steps go over; true while that is not known. */
  hasData: boolean;
  /** Whether its rows are those of what is chosen now. */
  isCurrent: boolean;
}

/** A step of the round: a folder that exports one of these, and a line in the registry. */
export interface RoundStep<W extends WorkState = WorkState> {
  /** In the address. */
  name: string;
  label: string;
  /** The words of its money, after the currency; null for a step that decides nothing. */
  money: string | null;
  /** What its changes are for, when it is asked whether they worked; null for a step that decides nothing. */
  purpose: ChangePurpose | null;
  /** Keys that it knows beside those of all steps. */
  keys: readonly KeyLine[];
  /** What it works on; null for a step that needs nothing but the account. */
  work: Work<W> | null;
  Step: ComponentType<RoundAt & { work: W; label: string }>;
  /** Whether evidence stands at its right. */
  hasEvidence: boolean;
}
