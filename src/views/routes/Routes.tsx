import { formatCount } from '../../core/units';
import { App } from '../shared/App';
import { Frame } from '../shared/frame/Frame';
import { PartList } from '../shared/frame/PartList';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { useAccount } from '../shared/useAccount';
import { useUrlState } from '../shared/urlState';
import { ProductRoutes } from './ProductRoutes';
import { useRoutes } from './useRoutes';

const KEYS: KeyLine[] = [
  ['Enter on an ad group, then on a home', 'draw a route'],
  ['Delete', 'remove the chosen route'],
  ['a', 'approve what is proposed for the product'],
  ['u', 'take the last change back'],
];

export function RoutesPlace() {
  return (
    <App>
      <Routes />
    </App>
  );
}

/** Where sold terms move to, by product. */
function Routes() {
  const { values, set } = useUrlState();
  const { accounts, account, error } = useAccount(values.get('account'));
  const state = useRoutes(account?.id);
  const { tree, index, routes, proposed } = state;
  const fault = error ?? state.error;
  const products = (tree?.products ?? []).filter(({ id }) => (index?.researchAdGroups(id) ?? []).length > 0);
  const product = products.find(({ id }) => id === Number(values.get('product'))) ?? products[0];
  const openOf = (id: number) =>
    (index?.researchAdGroups(id) ?? []).filter((one) => !routes.some(({ sourceId }) => sourceId === one.id))
      .length;
  return (
    <Frame place="routes" accounts={accounts} account={account} keys={KEYS}>
      {() => (
        <div style={{ display: 'grid', gridTemplateColumns: '224px minmax(0, 1fr)', minHeight: 0 }}>
          <PartList
            title="Routes"
            label="Products"
            entries={products.map(({ id, name }) => ({
              key: id,
              label: name,
              does: <Standing open={openOf(id)} />,
            }))}
            current={product?.id}
            onChoose={(id) => set({ product: String(id) })}
          />
          {product && index ? (
            <ProductRoutes
              key={product.id}
              product={product}
              index={index}
              state={state}
              onApproveAll={() => state.put(proposed)}
            />
          ) : (
            <main style={{ padding: 24 }}>
              <p role={fault ? 'alert' : 'status'} className={fault ? 'over' : 'faint'}>
                {fault
                  ? fault.message
                  : state.isLoading
                    ? 'Reading the account …'
                    : 'No ad group of a product looks for terms yet. Products come with a sync.'}
              </p>
            </main>
          )}
        </div>
      )}
    </Frame>
  );
}

/** How many ad groups of a product have no route yet. */
function Standing({ open }: { open: number }) {
  if (open === 0) return 'all have a route';
  return (
    <span className="over">
      ▲ {formatCount(open)} ad {open === 1 ? 'group has' : 'groups have'} no route
    </span>
  );
}
