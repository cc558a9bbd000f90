import type { AccountInfo } from '../../contract/api';
import type { TrayState } from '../shared/tray/useTray';
import type { LoadedWords } from '../shared/wordsEngine/types';

/** What a part gets that needs no terms loaded. */
export interface PlainPartProps {
  account: AccountInfo;
  tray: TrayState;
}

export interface WordsPartProps extends PlainPartProps {
  loaded: LoadedWords;
}
