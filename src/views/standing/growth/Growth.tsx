import { useState } from 'react';
import type { PlaceProps } from '../../shared/frame/place';
import { Columns, Empty, Finder, Loading, PartList, Trouble } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { useUrlState } from '../../shared/urlState';
import { StandingTabs } from '../StandingTabs';
import type { OnPart } from '../StandingTabs';
import { asksWords } from '../words';
import { GrowthPage } from './GrowthPage';
import { useGrowthPlans } from './useGrowth';

/** The growth plans of an account: a product each, and the one that is looked at. */
export function Growth({ account, error, onPart }: PlaceProps & OnPart) {
  const { values, set } = useUrlState();
  const { data, error: fault, begin } = useGrowthPlans(account);
  const [isBeginning, setBeginning] = useState(false);
  const plans = data?.plans ?? [];
  const current = plans.find(({ info }) => info.id === Number(values.get('rule'))) ?? plans[0];
  const choose = (id: number) => set({ rule: String(id) }, true);
  const step = (by: number) => {
    const next = current && plans[plans.indexOf(current) + by];
    if (next) choose(next.info.id);
  };
  useKeys({ j: () => step(1), k: () => step(-1) });
  const trouble = error ?? fault;
  const newPlan = data && account?.connected && !isBeginning && (
    <Finder
      label="New plan for"
      value=""
      placeholder="New plan for …"
      onChange={(product) => {
        setBeginning(true);
        void begin(Number(product))
          .then((id) => id !== null && choose(id))
          .finally(() => setBeginning(false));
      }}
    >
      {data.products.map(({ id, name }) => ({ value: String(id), words: name }))}
    </Finder>
  );
  return (
    <Columns
      name="standing"
      left={
        <PartList
          title="Growth"
          label="Growth plans"
          entries={plans.map(({ info, product, campaigns }) => ({
            key: info.id,
            label: product,
            does: (
              <>
                {campaigns === 0
                  ? 'no campaign yet'
                  : campaigns === 1
                    ? '1 campaign'
                    : `${campaigns} campaigns`}{' '}
                ·{' '}
                {info.stoppedWhy ? (
                  <span className="over">stopped</span>
                ) : info.isOn ? (
                  asksWords(info.rule)
                ) : (
                  'off'
                )}
              </>
            ),
          }))}
          current={current?.info.id}
          onChoose={(id) => choose(Number(id))}
        >
          {plans.length > 0 && <div className="besideList">{newPlan}</div>}
        </PartList>
      }
    >
      <main className="page ruleGrid" tabIndex={0} aria-label="Growth plan">
        <StandingTabs part="growth" onPart={onPart} />
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !data ? (
          <Loading>Loading the growth plans …</Loading>
        ) : current ? (
          <GrowthPage key={current.info.id} account={account} id={current.info.id} />
        ) : !account.connected ? (
          <Empty why="A plan makes campaigns and moves their money by night; this account is fed by files.">
            No plan can run here.
          </Empty>
        ) : (
          <Empty
            why="A plan gives a product a budget a day over three stages: finding what sells, tuning it to the target, growing what is tuned. It asks, or does it by itself once it was tried."
            next={newPlan}
          >
            No growth plan yet.
          </Empty>
        )}
      </main>
    </Columns>
  );
}
