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
  ['h', 'a new home for the product'],
  ['u', 'take the last change back'],
];

/** What ad groups advertise whose product nobody told. */
const UNKNOWN = { id: null, name: 'Product not known' };

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
  const researchOf = (id: number | null) => index?.researchAdGroups(id) ?? [];
  // Accounts that are fed by files do not tell products: their ad groups stand together.
  const products = [...(tree?.products ?? []), UNKNOWN].filter(({ id }) => researchOf(id).length > 0);
  const product = products.find(({ id }) => String(id ?? 0) === values.get('product')) ?? products[0];
  const openOf = (id: number | null) =>
    researchOf(id).filter((one) => !routes.some(({ sourceId }) => sourceId === one.id)).length;
  return (
    <Frame place="routes" accounts={accounts} account={account} keys={KEYS}>
      {() => (
        <div style={{ display: 'grid', gridTemplateColumns: '224px minmax(0, 1fr)', minHeight: 0 }}>
          <PartList
            title="Routes"
            label="Products"
            entries={products.map(({ id, name }) => ({
              key: id ?? 0,
              label: name,
              does: <Standing open={openOf(id)} />,
            }))}
            current={product && (product.id ?? 0)}
            onChoose={(id) => set({ product: String(id) })}
          />
          {product && index ? (
            <ProductRoutes
              key={product.id ?? 0}
              product={product}
              index={index}
              currency={account?.currency ?? ''}
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
                    : 'No ad group looks for terms yet. They come with a sync, or with a report under Setup.'}
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
