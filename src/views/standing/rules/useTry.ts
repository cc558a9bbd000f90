import { useState } from 'react';
import { useMounted } from '../../shared/useMounted';
import type { AccountInfo } from '../../../contract/api';
import type { RuleInfo, TryAnswer } from '../../../contract/rules';
import { standingApi } from '../standingApi';
import type { RulesState } from '../useRules';

/** So many nights are looked back on when a rule is tried. */
export const NIGHTS = 7;

/** Tries a rule night by night, the last one first: each is told as soon as it is known. Leaving the rule ends it. */
export function useTry(account: AccountInfo, { id, rule }: RuleInfo, state: RulesState) {
  const [answer, setAnswer] = useState<TryAnswer | null>(null);
  const [isTrying, setTrying] = useState(false);
  const [done, setDone] = useState(0);
  const [error, setError] = useState<Error | null>(null);
  const isHere = useMounted();
  const tryOut = async () => {
    if (isTrying) return;
    setTrying(true);
    setError(null);
    setAnswer(null);
    try {
      const told: TryAnswer = { nights: [], why: null };
      for (let back = 0; back < NIGHTS && isHere(); back += 1) {
        setDone(back);
        const one = await standingApi.tryOut({ account: account.id, id, rule, nights: 1, back });
        for (const night of one.nights) told.nights.push(night);
        told.why = one.why;
        setAnswer({ ...told, nights: [...told.nights] });
        // Where the past is not kept there is tonight alone.
        if (one.why !== null) break;
      }
      await state.look();
    } catch (fault) {
      setError(fault as Error);
    } finally {
      setTrying(false);
    }
  };
  return { answer, isTrying, done, error, tryOut };
}
