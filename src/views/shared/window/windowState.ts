import type { ComparedWindow } from '../../../core/windows';

/** A window that is shown, and the days left out behind it. */
export interface ShownWindow {
  from: string;
  to: string;
  unsettled: string[];
}

/** The window of a place, and choosing another. */
export interface WindowState {
  shown: ShownWindow | undefined;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  /** Both null: the usual window. */
  onWindow: (from: string | null, to: string | null) => void;
  /** What it is compared with, where that is shown. */
  versus?: {
    shown: ComparedWindow | undefined;
    isChosen: boolean;
    /** As `writeSpan` says it; null: the days before. */
    onVersus: (span: string | null) => void;
  };
}
