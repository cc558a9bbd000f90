import type { AccountInfo } from '../../../contract/api';
import type { RuleInfo } from '../../../contract/rules';
import type { Rule } from '../../../core/rules';
import { hasBids } from '../../shared/offered';
import { Choice, MoneyField, NumberField, ShareField, TextBox } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { movesBids } from '../words';
import { BidFields, HandFields } from './RuleFields';
import { NewTermFields } from './NewTermFields';
import { PlacementFields } from './PlacementFields';
import { WorksIn } from './WorksIn';
import { When } from './When';

interface RuleFormProps {
  account: AccountInfo;
  info: RuleInfo;
  onRule: (change: Partial<Rule>) => void;
}

const LOOK_BACKS: readonly Option[] = [
  ['', 'all that counts'],
  ['30', 'the last 30 settled days'],
  ['60', 'the last 60 settled days'],
];
/** The settings of a rule, a line for each thing that is decided. */
export function RuleForm({ account, info: { rule }, onRule }: RuleFormProps) {
  const { work, target, least, lookBack, waitDays, most } = rule;
  const isTerms = work === 'negatives' || work === 'harvest';
  return (
    <div className="ruleForm" role="group" aria-label="Settings of the rule">
      <span className="faint">Name</span>
      <TextBox
        aria-label="Name"
        letters={40}
        key={rule.name}
        defaultValue={rule.name}
        onBlur={({ target: box }) => {
          const name = box.value.trim();
          if (name !== '' && name !== rule.name) onRule({ name });
        }}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <span className="faint">Works in</span>
      <WorksIn account={account} rule={rule} onRule={onRule} />
      {work === 'new terms' && rule.newTerms && (
        <NewTermFields
          account={account}
          newTerms={rule.newTerms}
          onNewTerms={(newTerms) => onRule({ newTerms })}
        />
      )}
      {work === 'by hand' && (
        <>
          <span className="faint">Which targets</span>
          <HandFields rule={rule} onRule={onRule} />
        </>
      )}
      {work !== 'by hand' && work !== 'hours' && work !== 'new terms' && (
        <>
          <span className="faint">Aims at</span>
          <div className="bar">
            <ShareField
              label="ACOS"
              share={target?.low ?? null}
              least={0.01}
              most={10}
              onShare={(low) => onRule({ target: { low, high: Math.max(low, target?.high ?? low) } })}
              onNone={() => onRule({ target: null })}
            />
            {target && (
              <ShareField
                label="up to"
                share={target.high}
                least={target.low}
                most={10}
                onShare={(high) => onRule({ target: { ...target, high } })}
              />
            )}
            <span className="faint small">
              {target === null
                ? 'empty: the target of its scope'
                : target.high > target.low
                  ? 'inside the range nothing is to be done'
                  : ''}
            </span>
          </div>
        </>
      )}
      {work !== 'new terms' && <span className="faint">Looks at</span>}
      {work !== 'new terms' && (
        <div className="bar">
          {work !== 'hours' && (
            <Choice
              label="Look-back"
              value={lookBack === null ? '' : String(lookBack)}
              onChange={(next) => onRule({ lookBack: next === '' ? null : Number(next) })}
            >
              {LOOK_BACKS}
            </Choice>
          )}
          <span className="faint">touches nothing with less than</span>
          {(['clicks', 'impressions', 'orders'] as const).map((key) => (
            <NumberField
              key={key}
              label={key}
              isLabelled={false}
              value={least[key]}
              min={0}
              max={1_000_000}
              step={1}
              after={key}
              onChange={(count) => onRule({ least: { ...least, [key]: count } })}
            />
          ))}
        </div>
      )}
      {work === 'placements' && <PlacementFields account={account} rule={rule} onRule={onRule} />}
      {movesBids(work) && hasBids(account) && (
        <>
          <span className="faint">Bids</span>
          <BidFields account={account} rule={rule} onRule={onRule} />
        </>
      )}
      {!isTerms && work !== 'hours' && work !== 'budgets' && work !== 'new terms' && (
        <>
          <span className="faint">Waits</span>
          <NumberField
            label="Settled days after each change"
            isLabelled={false}
            value={waitDays}
            min={0}
            max={28}
            step={1}
            after={`settled days after each change (or the clicks that an order takes)${waitDays === 0 ? ': what it did can hardly be measured without' : ''}`}
            onChange={(days) => onRule({ waitDays: days })}
          />
        </>
      )}
      <span className="faint">Works</span>
      <When account={account} rule={rule} onRule={onRule} />
      <span className="faint">A night</span>
      <div className="bar">
        <NumberField
          label="Changes at most"
          isLabelled={false}
          value={most.changes}
          min={1}
          max={1_000_000}
          step={10}
          after="changes at most, and"
          onChange={(changes) => onRule({ most: { ...most, changes } })}
        />
        <MoneyField
          label="More expected spend a month at most"
          isLabelled={false}
          micros={most.spend}
          currency={account.currency}
          step={10_000_000}
          after="more expected spend a month"
          onMicros={(spend) => onRule({ most: { ...most, spend } })}
        />
      </div>
      <span className="faint">Then</span>
      <div className="bar">
        <Choice
          label="What becomes of it"
          value={rule.sends ? 'sends' : 'asks'}
          onChange={(next) => onRule({ sends: next === 'sends' })}
        >
          {[
            ['asks', 'asks: it waits in the tray, marked'],
            ['sends', 'sends by itself'],
          ]}
        </Choice>
      </div>
    </div>
  );
}
