import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlanInfo } from '../../../contract/build';
import type { PlaceProps } from '../../shared/frame/place';
import { useOffer } from '../../shared/frame/place';
import type { KeyLine } from '../../shared/frame/KeysHelp';
import { Columns, Empty, Loading, PartList, Trouble } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import { useUrlState } from '../../shared/urlState';
import { BuildTabs } from '../BuildTabs';
import type { BuildPart } from '../BuildTabs';
import { NewPlan } from './NewPlan';
import { PlanPage } from './PlanPage';
import { usePlans } from './usePlans';

const KEYS: readonly KeyLine[] = [
  ['n', 'begin a plan for a product'],
  ['1 2 3', 'campaigns, terms, items of the plan'],
  ['e p b', 'exact, phrase, broad on or off for the chosen terms'],
  ['m Delete', 'write the chosen terms as the market takes them; take them out'],
  ['Ctrl+Enter', 'add what is pasted; send the plan’s campaigns to the market'],
];

/** Plans of products' campaigns: the list of them, and the one that is worked on. */
export function Plans({ account, error, onPart }: PlaceProps & { onPart: (part: BuildPart) => void }) {
  const { values, set } = useUrlState();
  useOffer(KEYS);
  const wanted = Number(values.get('for')) || null;
  const [isBeginning, setBeginning] = useState(wanted !== null);
  const plans = usePlans(account);
  const open = plans.data?.plans.filter(({ isThrown }) => !isThrown) ?? [];
  const asked = Number(values.get('plan'));
  const current = open.find(({ id }) => id === asked) ?? (asked ? undefined : open[0]);
  useKeys({ n: () => setBeginning(true) });
  const trouble = error ?? plans.error;
  const choose = (id: number) => set({ part: 'plan', plan: String(id) }, true);
  return (
    <Columns
      name="build"
      left={
        <PartList
          title="Plans"
          label="Plans of campaigns"
          entries={open.map((one) => ({
            key: one.id,
            label: one.product,
            does: `${one.code} · ${one.isLaunched ? 'sent' : 'not sent yet'}`,
          }))}
          current={current?.id}
          onChoose={(id) => choose(Number(id))}
        >
          <div className="besideList">
            <Button data-may="decide" onClick={() => setBeginning(true)} disabled={!plans.data} title="n">
              New plan …
            </Button>
          </div>
        </PartList>
      }
    >
      <main className="page planGrid" tabIndex={0} aria-label="Plan">
        <BuildTabs account={account} part="plan" onPart={onPart} />
        {trouble ? (
          <Trouble error={trouble} />
        ) : !account || !plans.data ? (
          <Loading>Loading the plans …</Loading>
        ) : (
          <Current account={account} current={current} onBegin={() => setBeginning(true)} onOpen={choose} />
        )}
      </main>
      {isBeginning && account && plans.data && (
        <NewPlan
          account={account}
          answer={plans.data}
          wanted={wanted}
          onDone={(id) => {
            setBeginning(false);
            set({ for: null });
            if (id !== null) choose(id);
          }}
        />
      )}
    </Columns>
  );
}

interface CurrentProps {
  account: AccountInfo;
  current: PlanInfo | undefined;
  onBegin: () => void;
  onOpen: (id: number) => void;
}

function Current({ account, current, onBegin, onOpen }: CurrentProps) {
  if (current) return <PlanPage key={current.id} account={account} id={current.id} onOpen={onOpen} />;
  return (
    <Empty
      why="A plan is a product’s campaigns on one page: parts, names, budgets, terms, items, and what is kept out of where. Nothing is made before it is sent."
      next={
        <Button data-may="decide" variant="contained" onClick={onBegin}>
          New plan …
        </Button>
      }
    >
      No plan is open.
    </Empty>
  );
}
