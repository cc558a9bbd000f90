import type { AccountInfo } from '../../contract/api';
import type { TrayState } from '../shared/tray/useTray';
import type { WindowState } from '../shared/window/windowState';
import type { FieldState } from './useFieldState';
import type { LensState } from './useLens';

export interface FieldBodyProps {
  account: AccountInfo | undefined;
  error: Error | null;
  state: FieldState;
  lens: LensState;
  tray: TrayState;
  window: WindowState;
}
