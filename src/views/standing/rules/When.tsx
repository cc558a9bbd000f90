import type { AccountInfo } from '../../../contract/api';
import type { Rule, RuleRhythm } from '../../../core/rules';
import { Check, Choice, DayField, NumberField } from '../../shared/kit';
import { DAY_NAMES } from '../words';

interface WhenProps {
  account: AccountInfo;
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}

const STARTS: Record<RuleRhythm['kind'], RuleRhythm> = {
  nightly: { kind: 'nightly' },
  weekdays: { kind: 'weekdays', days: [1] },
  every: { kind: 'every', days: 7 },
};

/** On which nights a rule works, and until when. */
export function When({ account, rule: { rhythm, until }, onRule }: WhenProps) {
  return (
    <div className="bar">
      <Choice
        label="On which nights"
        value={rhythm.kind}
        onChange={(kind) => onRule({ rhythm: STARTS[kind as RuleRhythm['kind']] })}
      >
        {[
          ['nightly', 'every night, after the sync'],
          ['weekdays', 'on weekdays'],
          ['every', 'every so many nights'],
        ]}
      </Choice>
      {rhythm.kind === 'weekdays' &&
        DAY_NAMES.map((name, at) => {
          const isOn = rhythm.days.includes(at + 1);
          const days = isOn ? rhythm.days.filter((day) => day !== at + 1) : [...rhythm.days, at + 1];
          return (
            <Check
              key={name}
              isOn={isOn}
              isOff={isOn && rhythm.days.length === 1}
              onChange={() => onRule({ rhythm: { kind: 'weekdays', days } })}
            >
              {name}
            </Check>
          );
        })}
      {rhythm.kind === 'every' && (
        <NumberField
          label="Nights between"
          isLabelled={false}
          value={rhythm.days}
          min={1}
          max={60}
          step={1}
          after="nights"
          onChange={(days) => onRule({ rhythm: { kind: 'every', days } })}
        />
      )}
      <span className="faint">until</span>
      <DayField
        label="Last night"
        value={until ?? ''}
        min={account.today}
        onChange={(day) => onRule({ until: day })}
        onNone={() => onRule({ until: null })}
      />
    </div>
  );
}
