import type { BudgetRow } from '../../../plans/budgets';
import { Check, MoneyField } from '../../shared/kit';
import type { BudgetWork } from './useBudgetWork';

interface HoldByBidsProps {
  work: BudgetWork;
  row: BudgetRow;
  currency: string;
}

/** Whether a campaign's spend is held by its bids under a high budget, rather than by the budget, and at how much a day. */
export function HoldByBids({ work, row, currency }: HoldByBidsProps) {
  const { money, setMoney } = work;
  const { campaignId, from, byBids } = row;
  if (from === null) return null;
  const set = (perDay: number | null) =>
    setMoney({
      byBids: [
        ...money.byBids.filter((one) => one.campaignId !== campaignId),
        ...(perDay === null ? [] : [{ campaignId, perDay }]),
      ],
    });
  return (
    <div className="bar">
      <Check
        isSwitch
        isOn={byBids !== null}
        title="Its budget stands at twice that, so that it is open all day; its bids are as low as its clicks then cost no more"
        onChange={(isOn) => set(isOn ? from : null)}
      >
        Bids hold its spend, not its budget
      </Check>
      {byBids !== null && (
        <MoneyField
          label="Spend a day"
          currency={currency}
          micros={byBids}
          least={10_000}
          step={1_000_000}
          onMicros={set}
        />
      )}
    </div>
  );
}
