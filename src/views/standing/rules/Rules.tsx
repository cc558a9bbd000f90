import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlaceProps } from '../../shared/frame/place';
import { RULE_WORKS } from '../../../core/rules';
import type { RuleWork } from '../../../core/rules';
import { Check, Choice, Columns, Empty, Loading, PartList, Trouble } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { useUrlState } from '../../shared/urlState';
import { StandingTabs } from '../StandingTabs';
import type { OnPart } from '../StandingTabs';
import { useRules } from '../useRules';
import { asksWords, rhythmWords, WORK_DOES, WORK_LABELS } from '../words';
import { GuardsDialog } from './GuardsDialog';
import { RulePage } from './RulePage';

/** The rules of an account: the list in the order in which they count, and the one that is looked at. */
export function Rules({ account, error, onPart }: PlaceProps & OnPart) {
  const { values, set } = useUrlState();
  const state = useRules(account);
  const [isGuarding, setGuarding] = useState(false);
  const { data } = state;
  const rules = (data?.rules ?? []).filter(({ rule }) => rule.growth === null);
  const current = rules.find(({ id }) => id === Number(values.get('rule'))) ?? rules[0];
  const choose = (id: number) => set({ rule: String(id) }, true);
  const step = (by: number) => {
    const next = current && rules[rules.indexOf(current) + by];
    if (next) choose(next.id);
  };
  useKeys({ j: () => step(1), k: () => step(-1) });
  const begin = async (work: RuleWork) => {
    const id = await state.begin(work);
    if (id !== null) choose(id);
  };
  const trouble = error ?? state.error;
  return (
    <Columns
      name="standing"
      left={
        <PartList
          title="Rules"
          label="Rules"
          entries={rules.map(({ id, rule, isOn, stoppedWhy, scopeName }) => ({
            key: id,
            label: rule.name,
            does: (
              <>
                {scopeName} ·{' '}
                {stoppedWhy ? <span className="over">stopped</span> : isOn ? asksWords(rule) : 'off'}
                {isOn && ` · ${rhythmWords(rule.rhythm)}`}
              </>
            ),
          }))}
          current={current?.id}
          onChoose={(id) => choose(Number(id))}
        >
          <div className="besideList">
            <NewRule isOff={!data || !account?.connected} onBegin={(work) => void begin(work)} />
            <Button data-may="send" disabled={!data} onClick={() => setGuarding(true)}>
              Guard rails …
            </Button>
            {data && rules.length > 0 && (
              <Check
                data-may="send"
                isSwitch
                isOn={data.guards.isStopped}
                onChange={(isStopped) => void state.guard({ ...data.guards, isStopped })}
              >
                all stopped
              </Check>
            )}
          </div>
        </PartList>
      }
    >
      <main className="page ruleGrid" tabIndex={0} aria-label="Rule">
        <StandingTabs part="rules" onPart={onPart} />
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !data ? (
          <Loading>Loading the rules …</Loading>
        ) : current ? (
          <RulePage
            key={current.id}
            account={account}
            info={current}
            all={rules}
            state={state}
            guards={data.guards}
          />
        ) : !account.connected ? (
          <Empty why="Rules look after the nightly sync with a market; this account is fed by files.">
            No rule can run here.
          </Empty>
        ) : (
          <Empty
            why="A rule does by night what you do in the round: the same proposals, through the same tray. It asks, or sends by itself once it was tried."
            next={<NewRule isOff={false} onBegin={(work) => void begin(work)} />}
          >
            No rule yet.
          </Empty>
        )}
      </main>
      {isGuarding && data && account && (
        <GuardsDialog
          account={account}
          guards={data.guards}
          onDone={(guards) => {
            setGuarding(false);
            if (guards) void state.guard(guards);
          }}
        />
      )}
    </Columns>
  );
}

const NewRule = ({ isOff, onBegin }: { isOff: boolean; onBegin: (work: RuleWork) => void }) => (
  <span data-may="send">
    <Choice
      label="New rule"
      value=""
      placeholder="New rule …"
      isOff={isOff}
      onChange={(work) => onBegin(work as RuleWork)}
    >
      {RULE_WORKS.filter((work) => work !== 'growth').map((work): Option => [
        work,
        `${WORK_LABELS[work]}: ${WORK_DOES[work]}`,
      ])}
    </Choice>
  </span>
);
