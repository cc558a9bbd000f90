import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import type { FollowRequest } from '../../../contract/schedules';
import { formatCount } from '../../../core/units';
import { api } from '../../shared/api';
import { useUndo } from '../../shared/undo/useUndo';
import { useTell } from '../../shared/useTell';

/** Puts campaigns on a week, or ends their schedules, as changes in the tray. */
export function useFollow(account: AccountInfo) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account.id);
  const { mutate, isPending } = useMutation({
    mutationFn: (request: Omit<FollowRequest, 'account'>) =>
      undo.during(api.follow({ account: account.id, ...request })),
    onSuccess: ({ staged, asIs }, { follow }) => {
      void client.invalidateQueries({ queryKey: ['changes'] });
      if (staged.length === 0)
        return tell('Nothing to stage: they stand as is asked, or it waits in the tray already.');
      const words =
        follow === null
          ? `the end of ${formatCount(staged.length)} schedules is in the tray`
          : `${formatCount(staged.length)} ${staged.length === 1 ? 'change' : 'changes'} for “${follow.name}” in the tray`;
      undo.did(
        { words, undoing: { kind: 'take-out', ids: staged } },
        { more: asIs > 0 ? `${formatCount(asIs)} stood so already.` : 'Send them from there.' },
      );
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
  });
  return { follow: mutate, isBusy: isPending };
}
