import type { AccountInfo } from '../../contract/api';
import type { TrayState } from '../shared/tray/useTray';
import type { WordsSummary } from '../../plans/words';

/** What a part gets that needs no terms loaded. */
export interface PlainPartProps {
  account: AccountInfo;
  tray: TrayState;
}

export interface WordsPartProps extends PlainPartProps {
  loaded: WordsSummary;
}
