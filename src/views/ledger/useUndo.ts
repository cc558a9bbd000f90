import { useMutation } from '@tanstack/react-query';
import { useTell } from '../shared/useTell';
import { useState } from 'react';
import type { UndoAnswer } from '../../contract/changes';
import { api } from '../shared/api';

interface Asking {
  ids: number[];
  changed: UndoAnswer['changed'];
}

/** Undoes changes by staging their opposites; asks where something else was set since. */
export function useUndo(account: number | undefined, onDone: () => void) {
  const tell = useTell();
  const [asking, setAsking] = useState<Asking | null>(null);
  const undo = useMutation({
    mutationFn: ({ ids, changed }: { ids: number[]; changed?: 'leave' | 'set-back' }) =>
      api.undo(account!, ids, changed),
    onSuccess: ({ ids, changed }, asked) => {
      if (changed.length > 0) return setAsking({ ids: asked.ids, changed });
      tell(
        ids.length === 0
          ? 'There was nothing left to undo.'
          : `${ids.length} ${ids.length === 1 ? 'undoing change waits' : 'undoing changes wait'} in the tray.`,
      );
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
    onSettled: onDone,
  });
  return {
    undo: (ids: number[]) => undo.mutate({ ids }),
    asking,
    answer: (choice: 'leave' | 'set-back' | null) => {
      if (asking && choice) undo.mutate({ ids: asking.ids, changed: choice });
      setAsking(null);
    },
  };
}
