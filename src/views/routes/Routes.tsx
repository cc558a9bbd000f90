import { useQuery } from '@tanstack/react-query';
import { groupBy } from '../../core/order';
import { formatCount } from '../../core/units';
import { api } from '../shared/api';
import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { pageLink } from '../shared/frame/pages';
import type { KeyLine } from '../shared/frame/KeysHelp';
import { Columns, Empty, Loading, PartList, PlaceLink, Trouble } from '../shared/kit';
import { useUrlState } from '../shared/urlState';
import { ProductRoutes } from './ProductRoutes';
import { useRoutes } from './useRoutes';
import { BRING_TERMS } from '../shared/words';

const KEYS: KeyLine[] = [
  ['Enter on an ad group, then on a home', 'draw a route'],
  ['Delete', 'remove the chosen route'],
  ['a', 'approve what is proposed for the product'],
  ['h', 'a new home for the product'],
];

/** What ad groups advertise whose product nobody told. */
const UNKNOWN = { id: null, name: 'Product not known' };

/** Where sold terms move to, by product. */
export function Place({ account, error }: PlaceProps) {
  const { values, set } = useUrlState();
  const state = useRoutes(account?.id);
  useOffer(KEYS);
  const { tree, index, routes, proposed } = state;
  const fault = error ?? state.error;
  const researchOf = (id: number | null) => index?.researchAdGroups(id) ?? [];
  // Accounts that are fed by files do not tell products: their ad groups stand together.
  const products = [...(tree?.products ?? []), UNKNOWN].filter(({ id }) => researchOf(id).length > 0);
  const product = products.find(({ id }) => String(id ?? 0) === values.get('product')) ?? products[0];
  const { data: figures } = useQuery({
    queryKey: ['products', account?.id],
    queryFn: () => api.products(account!.id),
    enabled: account !== undefined && products.length > MANY,
  });
  const inLines = (list: typeof products) => byLineAndMoney(list, tree?.lines ?? [], figures?.products ?? []);
  const hasRoute = new Set(routes.map(({ sourceId }) => sourceId));
  const openOf = (id: number | null) => researchOf(id).filter((one) => !hasRoute.has(one.id)).length;
  return (
    <Columns
      name="routes"
      left={
        <PartList
          title="Routes"
          label="Products"
          noun="products"
          entries={inLines(products).map(({ id, name, line }) => ({
            key: id ?? 0,
            label: name,
            words: name,
            group: line,
            does: <Standing open={openOf(id)} />,
          }))}
          current={product && (product.id ?? 0)}
          onChoose={(id) => set({ product: String(id) })}
        />
      }
    >
      {product && index ? (
        <ProductRoutes
          key={product.id ?? 0}
          product={product}
          index={index}
          account={account}
          state={state}
          onApproveAll={() => state.put(proposed)}
        />
      ) : (
        <main className="page">
          {fault ? (
            <Trouble error={fault} />
          ) : state.isLoading ? (
            <Loading>Reading the account …</Loading>
          ) : (
            <Empty
              why="A route leads from an ad group that looks for terms (automatic, broad or phrase) to the home of the terms that sold."
              next={<PlaceLink href={pageLink('setup', account?.id)}>{BRING_TERMS}</PlaceLink>}
            >
              No ad group looks for terms yet.
            </Empty>
          )}
        </main>
      )}
    </Columns>
  );
}

/** More products than this stand under their lines, those that sell most first. */
const MANY = 25;

/** Products under their lines: lines and products that sell most by ads come first. */
function byLineAndMoney<P extends { id: number | null; name: string; lineId?: number | null }>(
  list: readonly P[],
  lines: readonly { id: number; name: string }[],
  figures: readonly { id: number; sums: { sales: number } }[],
): (P & { line?: string })[] {
  if (list.length <= MANY) return [...list];
  const sales = new Map(figures.map(({ id, sums }) => [id, sums.sales]));
  const names = new Map(lines.map(({ id, name }) => [id, name]));
  const sold = ({ id }: P) => sales.get(id ?? 0) ?? 0;
  const groups = [...groupBy(list, ({ lineId }) => names.get(lineId ?? 0) ?? 'no line')].map(
    ([line, own]) => ({
      line,
      own: [...own].sort((a, b) => sold(b) - sold(a)),
      sales: own.reduce((sum, one) => sum + sold(one), 0),
    }),
  );
  groups.sort((a, b) => b.sales - a.sales);
  return groups.flatMap(({ line, own }) => own.map((one) => ({ ...one, line })));
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
