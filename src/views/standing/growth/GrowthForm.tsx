import type { AccountInfo } from '../../../contract/api';
import type { GrowthPlan } from '../../../core/growth';
import type { Rule } from '../../../core/rules';
import { DAYS_PER_MONTH } from '../../../core/units';
import { Check, Choice, MoneyField, NumberField, ShareField, TextBox } from '../../shared/kit';
import { hasBids } from '../../shared/offered';
import { BidFields } from '../rules/RuleFields';
import { When } from '../rules/When';

interface GrowthFormProps {
  account: AccountInfo;
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}

/** What a growth plan goes by, a line for each thing that is decided. */
export function GrowthForm({ account, rule, onRule }: GrowthFormProps) {
  const plan = rule.growth!;
  const { find, tune, grow, total } = plan;
  const { currency, limits } = account;
  const put = (change: Partial<GrowthPlan>) => onRule({ growth: { ...plan, ...change } });
  const putFind = (change: Partial<GrowthPlan['find']>) => put({ find: { ...find, ...change } });
  return (
    <div className="ruleForm" role="group" aria-label="Settings of the plan">
      <span className="faint">Total</span>
      <MoneyField
        label="Total a day"
        isLabelled={false}
        micros={total}
        currency={currency}
        least={limits.minBudget}
        step={1_000_000}
        after="a day, all stages together: no move goes beyond it"
        onMicros={(micros) =>
          onRule({
            growth: { ...plan, total: micros },
            // A night may not want more than the plan itself.
            most: { ...rule.most, spend: Math.max(rule.most.spend, Math.round(micros * DAYS_PER_MONTH)) },
          })
        }
      />
      <span className="faint">Aims at</span>
      <div className="bar">
        <ShareField
          label="ACOS from"
          share={rule.target?.low ?? null}
          least={0.01}
          most={10}
          onShare={(low) => onRule({ target: { low, high: Math.max(low, rule.target?.high ?? low) } })}
          onNone={() => onRule({ target: null })}
        />
        {rule.target && (
          <ShareField
            label="to"
            share={rule.target.high}
            least={rule.target.low}
            most={10}
            onShare={(high) => onRule({ target: { low: rule.target!.low, high } })}
          />
        )}
        <span className="faint small">{rule.target === null ? 'empty: the target of the product' : ''}</span>
      </div>
      <Check isOn={find.isOn} onChange={(isOn) => putFind({ isOn })}>
        Find
      </Check>
      <div>
        <div className="bar">
          <ShareField
            label="with"
            title="Share of the total for finding"
            share={find.share}
            least={0.01}
            most={1}
            onShare={(share) => putFind({ share })}
          />
          <MoneyField
            label="of the total, and at most"
            title="Cap for finding a day"
            micros={find.cap}
            currency={currency}
            least={limits.minBudget}
            step={1_000_000}
            after="a day"
            onMicros={(cap) => putFind({ cap })}
            onNone={() => putFind({ cap: null })}
          />
          {hasBids(account) && (
            <MoneyField
              label="first bid"
              micros={find.bid}
              currency={currency}
              least={limits.minBid}
              most={limits.maxBid}
              step={limits.bidStep}
              onMicros={(bid) => putFind({ bid })}
            />
          )}
        </div>
        <div className="bar">
          <MoneyField
            label="Nothing is given up before it spent"
            title="Least spend of a chance"
            micros={find.chance.spend}
            currency={currency}
            least={10_000}
            step={1_000_000}
            onMicros={(spend) => putFind({ chance: { ...find.chance, spend } })}
          />
          <NumberField
            label="and had"
            title="Least days of a chance"
            value={find.chance.days}
            min={1}
            max={120}
            step={1}
            after="days"
            onChange={(days) => putFind({ chance: { ...find.chance, days } })}
          />
        </div>
        <div className="bar">
          {(account.options?.autoGroups.length ?? 0) > 0 && (
            <Check isOn={find.automatic} onChange={(automatic) => putFind({ automatic })}>
              automatic groups
            </Check>
          )}
          <Check isOn={find.others} onChange={(others) => putFind({ others })}>
            terms that sold in other campaigns
          </Check>
          <span className="faint">own terms, one a line</span>
          <TextBox
            aria-label="Own terms"
            lines={4}
            letters={34}
            key={find.terms.join('\n')}
            defaultValue={find.terms.join('\n')}
            onBlur={({ target: box }) => {
              const terms = [...new Set(box.value.split('\n').map((one) => one.trim().toLowerCase()))].filter(
                Boolean,
              );
              if (terms.join('\n') !== find.terms.join('\n')) putFind({ terms });
            }}
          />
        </div>
      </div>
      <Check isOn={tune.isOn} onChange={(isOn) => put({ tune: { ...tune, isOn } })}>
        Tune
      </Check>
      <div className="bar">
        <NumberField
          label="A term moves up with"
          title="Orders to move up"
          value={tune.orders}
          min={1}
          max={100}
          step={1}
          after={tune.orders === 1 ? 'order' : 'orders'}
          onChange={(orders) => put({ tune: { ...tune, orders } })}
        />
        {hasBids(account) && <BidFields account={account} rule={rule} onRule={onRule} />}
      </div>
      <Check isOn={grow.isOn} onChange={(isOn) => put({ grow: { isOn } })}>
        Grow
      </Check>
      <span className="faint">
        budgets by what is needed; a keyword that takes most of a budget that runs dry gets a campaign of its
        own
      </span>
      <span className="faint">Works</span>
      <When account={account} rule={rule} onRule={onRule} />
      <span className="faint">Then</span>
      <Choice
        label="What becomes of it"
        value={rule.sends ? 'sends' : 'asks'}
        onChange={(next) => onRule({ sends: next === 'sends' })}
      >
        {[
          ['asks', 'asks: its moves wait in the tray'],
          ['sends', 'does it by itself'],
        ]}
      </Choice>
    </div>
  );
}
