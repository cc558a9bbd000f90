import type { OpenPlan } from '../usePlan';
import { Budgets } from './Budgets';
import { Matrix } from './Matrix';
import { Names } from './Names';
import { Parts } from './Parts';
import { Products } from './Products';
import { SettingsLine } from './SettingsLine';

/** What a plan makes: parts with their bids, names, what all campaigns are made with, each with its budget, and what is kept out of where. */
export function CampaignsTab({ open }: { open: OpenPlan }) {
  return (
    <div className="planScroll">
      <Parts open={open} />
      <Names open={open} />
      <SettingsLine open={open} />
      <Budgets open={open} />
      <Matrix open={open} />
      <Products open={open} />
    </div>
  );
}
