import type { CampaignFields } from '../../../../core/changes';
import type { OpenPlan } from '../usePlan';
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
    </>
  );
}
