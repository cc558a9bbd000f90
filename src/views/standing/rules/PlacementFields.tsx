import type { AccountInfo } from '../../../contract/api';
import { MAX_MODIFIER } from '../../../core/changes';
import { USUAL_PLACEMENT_ASKS } from '../../../core/placements';
import type { PlacementAsks, PlacementOrder } from '../../../core/placements';
import type { Rule } from '../../../core/rules';
import { Choice, MoneyField, NumberField, ShareField } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface PlacementFieldsProps {
  account: AccountInfo;
  rule: Rule;
  onRule: (change: Partial<Rule>) => void;
}

const ORDERS: readonly (Option & readonly [PlacementOrder, string])[] = [
  ['gain', 'first where most sales are to be won'],
  ['spend', 'first where most is spent'],
  ['acos', 'first where the ACOS is highest'],
];

/** What a placement has to show before its modifier is raised, how far modifiers go, and which campaigns come first. */
export function PlacementFields({ account, rule, onRule }: PlacementFieldsProps) {
  const asks = rule.placements ?? USUAL_PLACEMENT_ASKS;
  const set = (change: Partial<PlacementAsks>) => onRule({ placements: { ...asks, ...change } });
  const { least, most } = asks;
  const atLeast = (change: Partial<PlacementAsks['least']>) => set({ least: { ...least, ...change } });
  const atMost = (change: Partial<PlacementAsks['most']>) => set({ most: { ...most, ...change } });
  return (
    <>
      <span className="faint">Raised where</span>
      <div>
        <div className="bar">
          <NumberField
            label="Days that count"
            isLabelled={false}
            value={asks.days}
            min={7}
            max={365}
            step={1}
            after="settled days show at least"
            onChange={(days) => set({ days })}
          />
          <MoneyField
            label="spend"
            micros={least.spend}
            currency={account.currency}
            step={1_000_000}
            onMicros={(spend) => atLeast({ spend })}
            onNone={() => atLeast({ spend: null })}
          />
          <ShareField
            label="conversion"
            share={least.conversion}
            least={0}
            most={1}
            onShare={(conversion) => atLeast({ conversion })}
            onNone={() => atLeast({ conversion: null })}
          />
          <ShareField
            label="CTR"
            share={least.ctr}
            least={0}
            most={1}
            onShare={(ctr) => atLeast({ ctr })}
            onNone={() => atLeast({ ctr: null })}
          />
        </div>
        <div className="bar">
          <span className="faint">and at most</span>
          <MoneyField
            label="CPC"
            micros={most.cpc}
            currency={account.currency}
            least={1}
            step={50_000}
            onMicros={(cpc) => atMost({ cpc })}
            onNone={() => atMost({ cpc: null })}
          />
          <ShareField
            label="ACOS there"
            share={most.acos}
            least={0.01}
            most={100}
            onShare={(acos) => atMost({ acos })}
            onNone={() => atMost({ acos: null })}
          />
          <span className="faint small">empty: not asked; lowering asks for nothing</span>
        </div>
      </div>
      <span className="faint">Held to</span>
      <div className="bar">
        <ShareField
          label="a modifier of"
          share={asks.cap}
          least={0}
          most={MAX_MODIFIER}
          onShare={(cap) => set({ cap })}
          onNone={() => set({ cap: null })}
        />
        <MoneyField
          label="and a bid with it of"
          micros={asks.bid}
          currency={account.currency}
          least={account.limits.minBid}
          step={account.limits.bidStep}
          onMicros={(bid) => set({ bid })}
          onNone={() => set({ bid: null })}
        />
        <Choice
          label="Campaigns first"
          value={asks.first}
          onChange={(first) => set({ first: first as PlacementOrder })}
        >
          {ORDERS}
        </Choice>
      </div>
    </>
  );
}
