import type { AccountInfo } from '../../contract/api';
import { ShareField } from './kit';
import { useSetTarget } from './useSetTarget';

/** The account's target ACOS, changed in place. */
export function TargetField({ account }: { account: AccountInfo }) {
  const setTarget = useSetTarget(account);
  return (
    <ShareField
      label="Target"
      title="Target ACOS"
      share={account.targetAcos}
      least={0.001}
      onShare={(share) => void setTarget(share)}
    />
  );
}
