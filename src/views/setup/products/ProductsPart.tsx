import { DASH, formatDay, formatMoney, formatShare, MICROS_PER_UNIT } from '../../../core/units';
import type { ProductCosts } from '../../../core/economics';
import { businessMeasure } from '../../../core/measures';
import type { AccountInfo, ProductInfo } from '../../../contract/api';
import { exportLink } from '../../shared/api';
import { useKeys } from '../../shared/useKeys';
import { PartHead } from '../PartHead';
import { CostCell } from './CostCell';
import { useProducts } from './useProducts';

/** What products cost, what they leave, and what may be paid for a click: edited in place. */
export function ProductsPart({ account }: { account: AccountInfo }) {
  const { data, error, edit, undo } = useProducts(account.id);
  useKeys({ u: undo });
  const products = data?.products ?? [];
  const unknown = products.filter(({ margin }) => margin === null).length;
  return (
    <>
      <PartHead title="Products and costs">
        {data === undefined
          ? 'Loading …'
          : products.length === 0
            ? 'No products yet. They come with a sync, or with a list of costs.'
            : `${unknown === 0 ? 'Every product has its costs.' : `${unknown} of ${products.length} products lack costs: no margin is known for them, which is not zero.`} For each unit, in ${account.currency}; ads of ${formatDay(data.window.from)} – ${formatDay(data.window.to)}.`}{' '}
        A list comes in under <a href={`/setup?account=${account.id}`}>Data</a>; as{' '}
        <a href={exportLink(account.id, 'costs', 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, 'costs', 'xlsx')}>XLSX</a> it goes out. <kbd>u</kbd> takes the last
        edit back.
      </PartHead>
      {error && (
        <p role="alert" className="over">
          {error.message}
        </p>
      )}
      {products.length > 0 && <Table products={products} edit={edit} currency={account.currency} />}
    </>
  );
}

interface TableProps {
  products: ProductInfo[];
  edit: (product: ProductInfo, change: Partial<ProductCosts>) => void;
  currency: string;
}

const COSTS = [
  ['price', 'Price', 'What it sells at; pale: the market’s price'],
  ['goods', 'Goods', 'Cost of goods'],
  ['fees', 'Fees', 'The market’s fees'],
  ['shipping', 'Shipping', 'Shipping to the buyer'],
  ['refundRate', 'Refunds %', 'Share of units that come back; empty counts as none'],
  ['recovered', 'Recovered', 'What a returned unit still brings; empty counts as nothing'],
] as const;

function Table({ products, edit, currency }: TableProps) {
  return (
    <table className="plain" aria-label="Products" style={{ minWidth: 940 }}>
      <thead>
        <tr>
          <th>Product</th>
          {COSTS.map(([key, label, definition]) => (
            <th key={key} className="figure" title={definition}>
              {label}
            </th>
          ))}
          <th
            className="figure"
            title="(price − goods − fees − shipping − refunds) / price: also the ACOS at which ads earn nothing"
          >
            Margin
          </th>
          <th className="figure" title="Conversion × order value × margin: what a click may cost at most">
            Break-even CPC
          </th>
          <th className="figure" title="Order value × margin">
            per order
          </th>
          <th className="figure" title="The nearest target that is set">
            Target
          </th>
          <th className="figure" title="Spend / ad sales">
            ACOS
          </th>
          <th className="figure" title={businessMeasure('tacos').definition}>
            TACOS
          </th>
          <th className="figure" title={`${businessMeasure('profit').definition} ${currency}`}>
            Profit
          </th>
        </tr>
      </thead>
      <tbody>
        {products.map((product) => (
          <Product key={product.id} product={product} edit={(change) => edit(product, change)} />
        ))}
      </tbody>
    </table>
  );
}

function Product({ product, edit }: { product: ProductInfo; edit: (change: Partial<ProductCosts>) => void }) {
  const { name, itemCode, sku, line, costs, marketPrice, margin, breakEven, target, sums, profit } = product;
  const acos = sums.sales === 0 ? null : sums.spend / sums.sales;
  const why = margin === null ? `Not known without ${product.missing.join(', ')}` : undefined;
  const isOver = acos !== null && target.acos !== null && acos > target.acos;
  return (
    <tr>
      <td style={{ maxWidth: 210 }}>
        <div className="cut" title={name}>
          {name}
        </div>
        <div className="faint cut">
          {sku ?? itemCode}
          {line && ` · ${line}`}
        </div>
      </td>
      {COSTS.map(([key, label]) => (
        <td key={key} className="figure">
          <CostCell
            label={`${label} of ${name}`}
            scale={key === 'refundRate' ? 0.01 : MICROS_PER_UNIT}
            decimals={key === 'refundRate' ? 1 : 2}
            value={costs[key]}
            usual={key === 'price' ? marketPrice : null}
            onChange={(value) => edit({ [key]: value })}
          />
        </td>
      ))}
      <td className="figure" title={why}>
        {margin ? formatShare(margin.share) : DASH}
      </td>
      <td className="figure" title={why ?? (breakEven?.cpc === null ? 'No clicks in the window' : undefined)}>
        {breakEven ? formatMoney(breakEven.cpc) : DASH}
      </td>
      <td className="figure" title={why}>
        {breakEven ? formatMoney(breakEven.costPerOrder) : DASH}
      </td>
      <td className="figure" title={`set on the ${target.scope.replace('-', ' ')}`}>
        {formatShare(target.acos, 0)}
      </td>
      <td className={`figure ${isOver ? 'over' : acos === null ? '' : 'under'}`}>
        {acos === null ? DASH : `${isOver ? '▲' : '●'} ${formatShare(acos)}`}
      </td>
      <td className="figure">{formatShare(businessMeasure('tacos').of({ ...sums, margin: null }))}</td>
      <td className="figure" title={why}>
        {profit === null ? DASH : formatMoney(profit)}
      </td>
    </tr>
  );
}
