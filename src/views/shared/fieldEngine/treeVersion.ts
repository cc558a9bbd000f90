import type { AccountInfo } from '../../../contract/api';

/** Tells one state of an account's tree from another: another target ACOS makes every row stand differently. */
export const treeVersion = (account: AccountInfo | undefined): number =>
  Math.round((account?.targetAcos ?? 0) * 1e6);
