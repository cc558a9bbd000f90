import { useQueryClient } from '@tanstack/react-query';
import type { AccountInfo } from '../../contract/api';
import type { RuleInfo, RulesAnswer } from '../../contract/rules';
import { USUAL_RULE } from '../../core/rules';
import { KEYWORD_MATCHES } from '../../core/matching';
import type { KeywordMatch } from '../../core/matching';
import type { Rule, RuleGuards, RuleWork } from '../../core/rules';
import { api } from '../shared/api';
import { queryKeys } from '../shared/queryKeys';
import { useRulesOf } from '../shared/standing/useRulesOf';
import { inTurn } from '../shared/inTurn';
import { useUndo } from '../shared/undo/useUndo';
import { useTell } from '../shared/useTell';
import { standingApi } from './standingApi';
import { WORK_LABELS } from './words';

/** The rules of an account, and what is done with them. Every edit is kept at once and can be undone. */
export function useRules(account: AccountInfo | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  const undo = useUndo(account?.id);
  const { data, error } = useRulesOf(account);
  const kept = (answer: RulesAnswer) => {
    client.setQueryData(queryKeys.rules(account!), answer);
    return answer;
  };
  const told = async (work: () => Promise<void>) => {
    try {
      await undo.during(work());
    } catch (fault) {
      tell((fault as Error).message, { kind: 'fault' });
    }
  };
  /** An edit shows at once: the next one, which may come before the answer, starts from it and takes nothing back. */
  const save = (info: RuleInfo, change: Partial<Rule>, isOn: boolean | undefined, words: string) => {
    const { id } = info;
    const shown = client.getQueryData<RulesAnswer>(queryKeys.rules(account!)) ?? data!;
    const before = shown.rules.find((one) => one.id === id)?.rule ?? info.rule;
    const rule = { ...before, ...change };
    client.setQueryData(queryKeys.rules(account!), {
      ...shown,
      rules: shown.rules.map((one) => (one.id === id ? { ...one, rule } : one)),
    });
    return told(() =>
      inTurn(`rules ${account!.id}`, async (isLast) => {
        try {
          const answer = await api.saveRule({ account: account!.id, id, rule, isOn });
          if (isLast()) kept(answer);
          undo.did({ words, undoing: { kind: 'rule', id, rule: before, isOn: info.isOn } });
          const now = answer.rules.find((one) => one.id === id);
          if (isOn === undefined && info.isOn && now && !now.isOn)
            tell('It does something else now: it is off until it is tried again, for it sends by itself.');
        } catch (fault) {
          await client.invalidateQueries({ queryKey: ['rules'] });
          throw fault;
        }
      }),
    );
  };
  return {
    data,
    error,
    look: () => client.invalidateQueries({ queryKey: ['rules'] }),
    begin: async (work: RuleWork): Promise<number | null> => {
      let id: number | null = null;
      await told(async () => {
        const rule: Rule = {
          ...USUAL_RULE,
          name: WORK_LABELS[work],
          work,
          ...startOf(work, account!.options?.matches),
        };
        const { rules } = kept(await api.saveRule({ account: account!.id, rule }));
        id = rules.at(-1)!.id;
        undo.did({ words: `the rule “${rule.name}” was made`, undoing: { kind: 'no-rule', id } });
      });
      return id;
    },
    edit: (info: RuleInfo, change: Partial<Rule>) =>
      save(info, change, undefined, `“${info.rule.name}” was edited`),
    turn: (info: RuleInfo, isOn: boolean) =>
      save(info, {}, isOn, `“${info.rule.name}” was switched ${isOn ? 'on' : 'off'}`),
    remove: (info: RuleInfo) =>
      told(async () => {
        kept(await api.putRule(account!.id, info.id, false));
        undo.did({ words: `“${info.rule.name}” was removed`, undoing: { kind: 'rule-back', id: info.id } });
      }),
    move: (ids: number[]) => told(async () => void kept(await standingApi.order(account!.id, ids))),
    guard: (guards: RuleGuards) => told(async () => void kept(await standingApi.guards(account!.id, guards))),
  };
}

export type RulesState = ReturnType<typeof useRules>;

/** What a rule of a work begins with beside what is usual. */
const startOf = (work: RuleWork, matches: readonly KeywordMatch[] = KEYWORD_MATCHES): Partial<Rule> => {
  if (work === 'by hand')
    return { hand: { conditions: ['clicks>=20', 'acos>=50'], percent: -0.15 }, waitDays: 14 };
  const match = matches.includes('exact') ? 'exact' : matches[0];
  return work === 'new terms' ? { newTerms: { market: true, campaigns: true, match, most: 3 } } : {};
};
