import type { AccountInfo } from '../../../contract/api';
import { TargetField } from '../TargetField';
import { WindowButton } from './WindowButton';
import type { WindowState } from './windowState';

interface PlaceBarProps {
  account: AccountInfo | undefined;
  window: WindowState;
}

/** What a place goes by, in its head: the window and the target. */
export function PlaceBar({ account, window }: PlaceBarProps) {
  if (!account) return null;
  return (
    <span className="bar placeBar">
      <WindowButton account={account} window={window} />
      <TargetField account={account} />
    </span>
  );
}
