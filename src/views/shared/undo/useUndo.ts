import { useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../api';
import { takeOverData } from '../revision';
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

/** What became of an undoing: whether there was anything left of it, and the kinds of answers that are not true any more. */
interface Undone {
  isDone: boolean;
  stale: string[];
  /** Whether what the page computes from is another now: targets, costs. */
  isNewData?: boolean;
}

const done = (...stale: string[]): Undone => ({ isDone: true, stale });
const newData: Undone = { isDone: true, stale: [], isNewData: true };

/** Asks the server to undo something. */
async function ask(account: number, undoing: Undoing): Promise<Undone> {
  switch (undoing.kind) {
    case 'take-out': {
      // What was sent or taken out since is not in the tray any more.
      const { ids } = await api.withdraw(account, undoing.ids);
      return { isDone: ids.length > 0, stale: ['changes', 'bales', 'structure'] };
    }
    case 'stage': {
      const { ids } = await api.stage(account, undoing.changes);
      return { isDone: ids.some((id) => id !== null), stale: ['changes', 'structure'] };
    }
    case 'put-back': {
      const out = undoing.ids.length > 0 ? await api.withdraw(account, undoing.ids) : { ids: [] };
      const back = await api.stage(account, undoing.changes);
      return { isDone: out.ids.length + back.ids.length > 0, stale: ['changes', 'bales', 'structure'] };
    }
    case 'back-in-queue':
      await api.putAside({
        account,
        queue: undoing.queue,
        subjects: undoing.subjects,
        verdict: 'back',
      });
      return done('aside', 'notes', 'structure');
    case 'routes':
      await api.keepRoutes(account, undoing.routes);
      return done('routes');
    case 'costs':
      await api.setCosts(account, undoing.productId, undoing.costs);
      return newData;
    case 'goal':
      await api.setGoal(account, undoing.goal);
      return newData;
    case 'no-goal':
      await api.removeGoal(account, undoing.goal.scope, undoing.goal.scopeId);
      return newData;
    case 'week':
      await api.keepWeek(account, undoing.week, undoing.was);
      return done('schedules');
    case 'no-week':
      await api.dropWeek(account, undoing.name);
      return done('schedules');
    case 'plan':
      await api.savePlan({ account, id: undoing.id, plan: undoing.plan });
      return done('build');
    case 'plan-back':
      await api.throwPlan(account, undoing.id, true);
      return done('build');
    case 'picture':
      await api.putPicture({ account, id: undoing.id, isRemoved: undoing.isRemoved });
      return done('ads');
    case 'rule': {
      const { id, rule, isOn } = undoing;
      await api.saveRule({ account, id, rule, isOn });
      return done('rules');
    }
    case 'no-rule':
      await api.putRule(account, undoing.id, false);
      return done('rules');
    case 'rule-back':
      await api.putRule(account, undoing.id, true);
      return done('rules');
    case 'growth-campaigns':
      await api.putGrowthCampaigns({ account, id: undoing.id, campaigns: undoing.campaigns });
      return done('growth', 'changes');
    case 'choices':
      await api.takeChoicesBack(account);
      return done('accounts');
  }
}

/** Why nothing was left to undo. */
const goneWords = ({ words, undoing }: Undoable) =>
  undoing.kind === 'take-out'
    ? `Not undone: ${words}, but sent or taken out since. The Ledger undoes what was sent.`
    : `Not undone: ${words}, but in the tray again already.`;

/** The one undo: what is done says so, with a way back, and `u` undoes the last thing, also in another place and after a reload. */
export function useUndo(account: number | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  return useMemo(() => {
    const store = account === undefined ? null : storeOf(account);
    const undo = async (wanted?: Undoable) => {
      if (!store || account === undefined) return;
      try {
        const undone = await store.undo(async (undoing) => {
          const { isDone, stale, isNewData } = await ask(account, undoing);
          if (isNewData) await takeOverData(client, account);
          await client.invalidateQueries({
            predicate: ({ queryKey }) => stale.includes(String(queryKey[0])),
          });
          return isDone;
        }, wanted);
        if (undone?.isDone) tell(`Undone: ${undone.one.words}.`);
        else if (undone) tell(goneWords(undone.one), { kind: 'warning' });
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
