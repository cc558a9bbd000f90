import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { USUAL_PLAN_CHOICES } from '../../contract/choices';
import type { ChoicesAnswer, ChoicesRequest, PlanChoices } from '../../contract/choices';
import type { AccountInfo } from '../../contract/api';
import { api } from './api';
import { useUndo } from './undo/useUndo';
import { useTell } from './useTell';

/** What is chosen and not yet kept by the server is shown at once. */
type Ahead = Pick<ChoicesRequest, 'bids' | 'terms' | 'money' | 'guides'>;

/** Between the last key in a field and the moment its value is kept, ms. */
const PAUSE_MS = 400;

/**
 * The choices that shape an account's plans. They are the account's, not this browser's: what is proposed at night, to a script
 * and on the page is the same. A change is shown at once, kept after a moment, and can be taken back.
 */
export function useChoices(account: AccountInfo | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  const { did, during } = useUndo(account?.id);
  const [ahead, setAhead] = useState<Ahead>({});
  const open = useRef<Ahead>({});
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const kept = account?.choices ?? USUAL_PLAN_CHOICES;
  const choices: PlanChoices = useMemo(
    () => ({
      bids: { ...kept.bids, ...ahead.bids },
      terms: { ...kept.terms, ...ahead.terms },
      money: { ...kept.money, ...ahead.money },
      guides: { ...kept.guides, ...ahead.guides },
    }),
    [kept, ahead],
  );

  function take({ choices: next }: ChoicesAnswer): void {
    client.setQueryData<AccountInfo[]>(['accounts'], (old) =>
      old?.map((one) => (one.id === account!.id ? { ...one, choices: next } : one)),
    );
    setAhead(open.current);
  }

  async function keep() {
    const request = open.current;
    open.current = {};
    try {
      take(await during(api.changeChoices({ account: account!.id, ...request })));
      did(
        {
          words: request.guides
            ? 'guide values changed'
            : request.money
              ? 'what the money is for changed'
              : 'thresholds or pace changed',
          undoing: { kind: 'choices' },
        },
        { more: 'It counts for the whole account.' },
      );
    } catch (error) {
      setAhead(open.current);
      tell((error as Error).message, { kind: 'fault' });
    }
  }

  return {
    choices,
    change: (part: Ahead) => {
      if (!account) return;
      const join = (old: Ahead): Ahead => ({
        ...(part.bids || old.bids ? { bids: { ...old.bids, ...part.bids } } : {}),
        ...(part.terms || old.terms ? { terms: { ...old.terms, ...part.terms } } : {}),
        ...(part.money || old.money ? { money: { ...old.money, ...part.money } } : {}),
        ...(part.guides || old.guides ? { guides: { ...old.guides, ...part.guides } } : {}),
      });
      open.current = join(open.current);
      setAhead(join);
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void keep(), PAUSE_MS);
    },
  };
}

export type ChoicesState = ReturnType<typeof useChoices>;
