import type { AccountInfo } from '../../../contract/api';
import { formatCount, formatMoney } from '../../../core/units';
import { Loading, Tabs, Trouble } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { useUrlState } from '../../shared/urlState';
import { CampaignsTab } from './campaigns/CampaignsTab';
import { ItemsTab } from './items/ItemsTab';
import { LaunchBar } from './LaunchBar';
import { productFacts } from './productWords';
import { TermsTab } from './terms/TermsTab';
import { usePlan } from './usePlan';
import type { OpenPlan } from './usePlan';

const TABS = ['campaigns', 'terms', 'items'] as const;
type Tab = (typeof TABS)[number];

interface PlanPageProps {
  account: AccountInfo;
  id: number;
  onOpen: (id: number) => void;
}

/** One plan: its campaigns, its terms, its items, and below what launching it would do. */
export function PlanPage({ account, id, onOpen }: PlanPageProps) {
  const { values, set } = useUrlState();
  const state = usePlan(account, id);
  const tab = TABS.find((one) => one === values.get('tab')) ?? 'campaigns';
  const go = (next: Tab) => set({ tab: next === 'campaigns' ? null : next });
  useKeys({ 1: () => go('campaigns'), 2: () => go('terms'), 3: () => go('items') });
  const { data, plan, error } = state;
  if (error) return <Trouble error={error} />;
  if (!data || !plan) return <Loading>Loading the plan …</Loading>;
  const open: OpenPlan = { ...state, data, plan };
  return (
    <>
      <header>
        <p className="sentence">
          {data.product.name}: {countWords(open)}
        </p>
        <p className="note">{productFacts(data.product, account.currency).join(' · ')}</p>
        <Tabs label="Parts of the plan" value={tab} onChange={go}>
          {[
            { name: 'campaigns', label: `Campaigns ${formatCount(open.campaigns.length)}`, keys: '1' },
            { name: 'terms', label: `Terms ${formatCount(plan.terms.length)}`, keys: '2' },
            {
              name: 'items',
              label: `Items and categories ${formatCount(plan.items.length + plan.refined.length)}`,
              keys: '3',
            },
          ]}
        </Tabs>
      </header>
      <Shown tab={tab} open={open} />
      <LaunchBar open={open} onOpen={onOpen} onTab={go} />
    </>
  );
}

function Shown({ tab, open }: { tab: Tab; open: OpenPlan }) {
  switch (tab) {
    case 'campaigns':
      return <CampaignsTab open={open} />;
    case 'terms':
      return <TermsTab open={open} />;
    case 'items':
      return <ItemsTab open={open} />;
  }
}

function countWords({ campaigns, account, plan }: OpenPlan): string {
  const sum = campaigns.reduce((all, { budget }) => all + budget, 0);
  const per = plan.settings.budgetKind === 'lifetime' ? 'in all' : 'a day';
  if (campaigns.length === 0) return 'nothing to make yet.';
  return `${formatCount(campaigns.length)} ${campaigns.length === 1 ? 'campaign' : 'campaigns'}, ${formatMoney(sum)} ${account.currency} ${per}.`;
}
