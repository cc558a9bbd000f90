import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../api';
import { useTell } from '../useTell';
import { UndoStore } from './undoStore';
import type { Undoable, Undoing } from './undoStore';

const stores = new Map<number, UndoStore>();

/** The one store of an account in this page; what it holds is this tab's. */
function storeOf(account: number): UndoStore {
  let store = stores.get(account);
  if (!store) {
    const key = `mowing-undo-${account}`;
    store = new UndoStore({
      read: () => {
        try {
          return JSON.parse(sessionStorage.getItem(key) ?? '[]') as Undoable[];
        } catch {
          return [];
        }
      },
      write: (list) => {
        try {
          sessionStorage.setItem(key, JSON.stringify(list));
        } catch {
          // A full storage must not stop the work: what was done can be undone until the page is left.
        }
      },
    });
    stores.set(account, store);
  }
  return store;
}

/** Asks the server to undo something. @returns the kinds of answers that are not true any more */
async function undone(account: number, undoing: Undoing): Promise<string[]> {
  switch (undoing.kind) {
    case 'take-out':
      await api.withdraw(account, undoing.ids);
      return ['changes', 'bales'];
    case 'stage':
      await api.stage(account, undoing.changes);
      return ['changes'];
    case 'back-in-queue':
      await api.putAside({
        account,
        queue: undoing.queue,
        subjects: undoing.subjects,
        verdict: 'back',
      });
      return ['aside', 'notes'];
    case 'routes':
      await api.keepRoutes(account, undoing.routes);
      return ['routes'];
    case 'costs':
      await api.setCosts(account, undoing.productId, undoing.costs);
      return ['products', 'overview'];
    case 'goal':
      await api.setGoal(account, undoing.goal);
      return ['goals', 'products'];
    case 'no-goal':
      await api.removeGoal(account, undoing.goal.scope, undoing.goal.scopeId);
      return ['goals', 'products'];
    case 'choices':
      await api.takeChoicesBack(account);
      return ['accounts'];
  }
}

/** The one undo: what is done says so, with a way back, and `u` undoes the last thing, also in another place and after a reload. */
export function useUndo(account: number | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  return useMemo(() => {
    const store = account === undefined ? null : storeOf(account);
    const undo = async (wanted?: Undoable) => {
      if (!store || account === undefined) return;
      try {
        const one = await store.undo(async (undoing) => {
          const stale = await undone(account, undoing);
          await client.invalidateQueries({
            predicate: ({ queryKey }) => stale.includes(String(queryKey[0])),
          });
        }, wanted);
        if (one) tell(`Undone: ${one.words}.`);
        else if (!wanted) tell('Nothing to undo.');
      } catch (error) {
        tell((error as Error).message, { kind: 'fault' });
      }
    };
    return {
      undo: () => void undo(),
      during: <T>(work: Promise<T>) => store?.during(work) ?? work,
      /**
       * Keeps what was done, and tells it with a way back.
       * @param more a sentence behind what was done @param isQuiet what is on the page tells it already
       */
      did: (one: Undoable, { more = '', isQuiet = false } = {}) => {
        store?.did(one);
        if (isQuiet) return;
        const sentence = `${one.words.charAt(0).toUpperCase()}${one.words.slice(1)}.${more && ` ${more}`}`;
        tell(sentence, {
          onUndo: () => void undo(one),
          ...(one.undoing.kind === 'choices' && { key: 'choices' }),
        });
      },
    };
  }, [account, client, tell]);
}

export type Undo = ReturnType<typeof useUndo>;
