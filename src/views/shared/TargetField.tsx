import type { AccountInfo } from '../../contract/api';
import { NumberField } from './NumberField';
import { useSetTarget } from './useSetTarget';

/** The account's target ACOS, changed in place. */
export function TargetField({ account }: { account: AccountInfo }) {
  const setTarget = useSetTarget(account);
  return (
    <NumberField
      label="% target ACOS"
      value={account.targetAcos * 100}
      min={0.1}
      step={1}
      width={44}
      onChange={(value) => void setTarget(value / 100)}
    />
  );
}
