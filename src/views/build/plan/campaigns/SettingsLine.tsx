import type { CampaignFields } from '../../../../core/changes';
import type { OpenPlan } from '../usePlan';
import { ShareField } from '../../../shared/kit';
import { FieldsForm } from './FieldsForm';

/** What all campaigns of a plan are made with, as long as one has nothing of its own. */
export function SettingsLine({ open }: { open: OpenPlan }) {
  const { account, plan, edit } = open;
  return (
    <>
      <h2 className="part serif">All campaigns</h2>
      <FieldsForm
        account={account}
        fields={plan.settings}
        onFields={(change: Partial<CampaignFields>) => edit({ settings: { ...plan.settings, ...change } })}
      />
      {account.options?.adGroupBudgets && (
        <ShareField
          label="of each budget the ad group may spend at most"
          share={plan.adGroupShare}
          least={0.01}
          most={1}
          onShare={(adGroupShare) => edit({ adGroupShare })}
          onNone={() => edit({ adGroupShare: null })}
        />
      )}
    </>
  );
}
