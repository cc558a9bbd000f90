import type { AccountInfo } from '../../../contract/api';

/** Tells one state of an account's data from another: newer figures, or another target ACOS, by which every row stands differently. */
export interface DataVersion {
  revision: number;
  targetAcos: number;
}

const NONE: DataVersion = { revision: 0, targetAcos: 0 };

export const dataVersion = (account: AccountInfo | undefined): DataVersion =>
  account ? { revision: account.revision, targetAcos: account.targetAcos } : NONE;
