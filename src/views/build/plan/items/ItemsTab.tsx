import type { OpenPlan } from '../usePlan';
import { AddItems } from './AddItems';
import { ItemRows } from './ItemRows';
import { Refined } from './Refined';

/** The items, categories and brands of a plan. */
export function ItemsTab({ open }: { open: OpenPlan }) {
  const { account } = open;
  if (account.options?.productTargets === false)
    return <p className="note">This market takes no targets on items, categories or brands.</p>;
  return (
    <div className="planScroll">
      <Refined open={open} />
      <h2 className="part serif">Items</h2>
      <AddItems open={open} />
      <ItemRows open={open} />
    </div>
  );
}
