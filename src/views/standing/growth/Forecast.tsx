import type { AccountInfo } from '../../../contract/api';
import type { GrowthInfo } from '../../../contract/growth';
import { counted, formatMoney, formatShare } from '../../../core/units';

/** What the plan is expected to come to in a month at tonight's budgets, with how sure that is. */
export function Forecast({ account, growth: { forecast } }: { account: AccountInfo; growth: GrowthInfo }) {
  const { spend, sales, low, high, acos, afterAds, unknown } = forecast;
  const { currency } = account;
  return (
    <section aria-label="Forecast">
      <h2 className="part serif">A month from here</h2>
      <p className="note">
        {spend <= 0
          ? 'No campaign of the plan has shown enough for a forecast.'
          : `At tonight’s budgets: spend ${formatMoney(spend)} ${currency}, sales ${formatMoney(sales)} (${formatMoney(low)} to ${formatMoney(high)}), ACOS ${formatShare(acos)}${
              afterAds === null
                ? '; its profit is not known without its costs.'
                : `, profit after ads ${formatMoney(afterAds.mean)} (${formatMoney(afterAds.low)} to ${formatMoney(afterAds.high)}). Eight months of ten end within these bounds.`
            }`}{' '}
        {unknown > 0 && `${counted(unknown, 'campaign')} that nothing is known of yet come on top.`}
      </p>
    </section>
  );
}
