import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { DASH, formatDay, formatMoney, formatShare, MICROS_PER_UNIT } from '../../../core/units';
import type { ProductCosts } from '../../../core/economics';
import { businessMeasure } from '../../../core/measures';
import type { AccountInfo, ProductInfo } from '../../../contract/api';
import { exportLink } from '../../shared/api';
import { PartHead } from '../PartHead';
import { CostCell } from './CostCell';
import { useProducts } from './useProducts';
import { useGradual } from '../../shared/useGradual';
import { Facts, Fault, FindIn, PlaceLink, ShowMore, useShort } from '../../shared/kit';
import { pageLink } from '../../shared/frame/pages';

/** What products cost, what they leave, and what may be paid for a click: edited in place. */
export function ProductsPart({ account }: { account: AccountInfo }) {
  const { data, error, edit } = useProducts(account.id);
  const products = data?.products ?? [];
  const unknown = products.filter(({ margin }) => margin === null).length;
  return (
    <>
      <PartHead title="Products and costs">
        {data === undefined
          ? 'Loading …'
          : products.length === 0
            ? 'No products yet. They come with a sync, or with a list of costs.'
            : `${unknown === 0 ? 'Every product has its costs.' : `${unknown} of ${products.length} products lack costs, so their margin is not known.`} For each unit, in ${account.currency}; ads of ${formatDay(data.window.from)} – ${formatDay(data.window.to)}.`}{' '}
        Import a list under <PlaceLink href={pageLink('setup', account.id)}>Data</PlaceLink>, or export this
        one as <a href={exportLink(account.id, 'costs', 'csv')}>CSV</a> or{' '}
        <a href={exportLink(account.id, 'costs', 'xlsx')}>XLSX</a>. <kbd>u</kbd> undoes the last edit.
      </PartHead>
      <Fault error={error} />
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

/** Rows of fields are heavy: so many stand at once. */
const ROWS_AT_ONCE = 40;
/** So many fill the screen. */
const ROWS_IN_SIGHT = 14;

const wordsOf = ({ name, itemCode, sku, line }: ProductInfo) => [name, itemCode, sku, line].join(' ');

function Table({ products, edit, currency }: TableProps) {
  const short = useShort(products, wordsOf, ROWS_AT_ONCE);
  const shown = useGradual(short.shown, ROWS_IN_SIGHT);
  return (
    <>
      {products.length > ROWS_AT_ONCE && <FindIn noun="products" short={short} />}
      <Facts aria-label="Products" sx={{ minWidth: 940 }}>
        <TableHead>
          <TableRow>
            <TableCell>Product</TableCell>
            {COSTS.map(([key, label, definition]) => (
              <TableCell key={key} className="figure" title={definition}>
                {label} {key !== 'refundRate' && <span className="unit">{currency}</span>}
              </TableCell>
            ))}
            <TableCell
              className="figure"
              title="(price − goods − fees − shipping − refunds) / price: also the ACOS at which ads earn nothing"
            >
              Margin
            </TableCell>
            <TableCell
              className="figure"
              title="Conversion × order value × margin: what a click may cost at most"
            >
              Break-even CPC <span className="unit">{currency}</span>
            </TableCell>
            <TableCell className="figure" title="Order value × margin">
              Per order <span className="unit">{currency}</span>
            </TableCell>
            <TableCell className="figure" title="The nearest target that is set">
              Target
            </TableCell>
            <TableCell className="figure" title="Spend / ad sales">
              ACOS
            </TableCell>
            <TableCell className="figure" title={businessMeasure('tacos').definition}>
              TACOS
            </TableCell>
            <TableCell className="figure" title={`${businessMeasure('profit').definition} ${currency}`}>
              Profit <span className="unit">{currency}</span>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shown.map((product) => (
            <Product key={product.id} product={product} edit={(change) => edit(product, change)} />
          ))}
        </TableBody>
      </Facts>
      <ShowMore noun="products" short={short} />
    </>
  );
}

function Product({ product, edit }: { product: ProductInfo; edit: (change: Partial<ProductCosts>) => void }) {
  const { name, itemCode, sku, line, costs, marketPrice, margin, breakEven, target, sums, profit } = product;
  const acos = sums.sales === 0 ? null : sums.spend / sums.sales;
  const why = margin === null ? `Not known without ${product.missing.join(', ')}` : undefined;
  const isOver = acos !== null && target.acos !== null && acos > target.acos;
  return (
    <TableRow>
      <TableCell sx={{ maxWidth: 210 }}>
        <div className="cut" title={name}>
          {name}
        </div>
        <div className="faint cut">
          {sku ?? itemCode}
          {line && ` · ${line}`}
        </div>
      </TableCell>
      {COSTS.map(([key, label]) => (
        <TableCell key={key} className="figure">
          <CostCell
            label={`${label} of ${name}`}
            scale={key === 'refundRate' ? 0.01 : MICROS_PER_UNIT}
            decimals={key === 'refundRate' ? 1 : 2}
            value={costs[key]}
            usual={key === 'price' ? marketPrice : null}
            onChange={(value) => edit({ [key]: value })}
          />
        </TableCell>
      ))}
      <TableCell className="figure" title={why}>
        {margin ? formatShare(margin.share) : DASH}
      </TableCell>
      <TableCell
        className="figure"
        title={why ?? (breakEven?.cpc === null ? 'No clicks in the window' : undefined)}
      >
        {breakEven ? formatMoney(breakEven.cpc) : DASH}
      </TableCell>
      <TableCell className="figure" title={why}>
        {breakEven ? formatMoney(breakEven.costPerOrder) : DASH}
      </TableCell>
      <TableCell className="figure" title={`set on the ${target.scope.replace('-', ' ')}`}>
        {formatShare(target.acos, 0)}
      </TableCell>
      <TableCell className={`figure ${isOver ? 'over' : acos === null ? '' : 'under'}`}>
        {acos === null ? DASH : `${isOver ? '▲' : '●'} ${formatShare(acos)}`}
      </TableCell>
      <TableCell className="figure">
        {formatShare(businessMeasure('tacos').of({ ...sums, margin: null }))}
      </TableCell>
      <TableCell className="figure" title={why}>
        {profit === null ? DASH : formatMoney(profit)}
      </TableCell>
    </TableRow>
  );
}
