import type { AccountInfo } from '../../../contract/api';
import type { Guides } from '../../../core/lenses';
import { useChoices } from '../../shared/useChoices';
import { NumberField, ShareField } from '../../shared/kit';

/** From when on a CTR, or impressions a day, are called low or high: values of one's own, or what is usual in the account. */
export function GuideValues({ account }: { account: AccountInfo }) {
  const { choices, change } = useChoices(account);
  const { guides } = choices;
  const set = (key: keyof Guides) => (value: number | null) => change({ guides: { [key]: value } });
  const share = (key: 'ctrLow' | 'ctrHigh', label: string, title: string) => (
    <ShareField
      label={label}
      title={title}
      share={guides[key]}
      least={0.0001}
      most={1}
      step={0.001}
      onShare={set(key)}
      onNone={() => set(key)(null)}
    />
  );
  const count = (key: 'dailyLow' | 'dailyHigh', label: string, title: string) => (
    <NumberField
      label={label}
      title={title}
      value={guides[key]}
      min={0.1}
      step={10}
      onChange={set(key)}
      onNone={() => set(key)(null)}
    />
  );
  return (
    <section aria-label="Guide values" className="spaced">
      <h2 className="pageTitle">Guide values</h2>
      <p className="faint">
        An empty field goes by what is usual here for targets of the same kind: low is under two thirds of it,
        high over one and a half times.
      </p>
      <div className="bar">
        <span>CTR is</span>
        {share('ctrLow', 'low under', 'CTR is low under')}
        {share('ctrHigh', 'high over', 'CTR is high over')}
      </div>
      <div className="bar">
        <span>Impressions a day are</span>
        {count('dailyLow', 'low under', 'Impressions a day are low under')}
        {count('dailyHigh', 'high over', 'Impressions a day are high over')}
      </div>
    </section>
  );
}
