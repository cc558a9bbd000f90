import type { AccountInfo } from '../../contract/api';
import type { TrayState } from '../shared/tray/useTray';
import type { LoadedWords } from '../shared/wordsEngine/types';

export interface WordsPartProps {
  account: AccountInfo;
  loaded: LoadedWords;
  tray: TrayState;
}
