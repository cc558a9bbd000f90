import type { AccountInfo } from '../../contract/api';
import type { ChangeState } from '../../core/changes';

/** By which names what the frame asks is known: what comes with the page is kept under the same. */
export const queryKeys = {
  accounts: ['accounts'] as const,
  me: ['me'] as const,
  revision: (account: number | undefined) => ['revision', account] as const,
  rules: ({ id, revision }: Pick<AccountInfo, 'id' | 'revision'>) => ['rules', id, revision] as const,
  aside: (account: number | undefined) => ['aside', account] as const,
  window: (
    account: Pick<AccountInfo, 'id' | 'revision'> | undefined,
    from: string | null,
    to: string | null,
  ) => ['window', account?.id, account?.revision, from, to] as const,
  changes: (account: number | undefined, state: ChangeState) => ['changes', account, state] as const,
};
