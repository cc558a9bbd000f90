import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import type { PlanRefined } from '../../../../core/build';
import type { Refinement } from '../../../../core/structure';
import { formatMoney, formatNumber } from '../../../../core/units';
import { Choice, Facts, MoneyField, NumberField, TextBox } from '../../../shared/kit';
import { FaultWords } from '../FaultWords';
import { TakeOut } from '../../TakeOut';
import type { OpenPlan } from '../usePlan';
import { Refusal } from '../Refusal';

/** Categories and brands, all of them or those whose price and rating are worse than the product’s own. */
export function Refined({ open }: { open: OpenPlan }) {
  const { plan, edit, data } = open;
  const { listing, product } = data;
  const own =
    product.line && data.categories.includes(product.line) ? product.line : (data.categories[0] ?? '');
  const add = (one: Omit<PlanRefined, 'bid'>) =>
    edit(
      {
        refined: [...plan.refined, { ...one, bid: null }],
        parts:
          one.aim === 'brand' ? { ...plan.parts, brands: { ...plan.parts.brands, isOn: true } } : plan.parts,
      },
      'a target added',
    );
  const category = (refine: Refinement | null) =>
    add({ aim: 'category', name: own, refine, against: refine && listing });
  return (
    <>
      <div className="bar">
        <h2 className="part serif">Categories and brands</h2>
        {listing && (
          <Button onClick={() => category({ minPrice: listing.price })}>
            Rivals that cost more than {formatMoney(listing.price)}
          </Button>
        )}
        {listing?.rating != null && (
          <Button onClick={() => category({ maxRating: listing.rating! })}>
            Rivals up to {formatNumber(listing.rating, 1)} stars
          </Button>
        )}
        <Button onClick={() => category(null)}>The whole category</Button>
        <Button
          onClick={() => add({ aim: 'brand', name: data.brands[0] ?? '', refine: null, against: null })}
        >
          A brand
        </Button>
      </div>
      {plan.refined.length > 0 && (
        <Facts aria-label="Categories and brands of the plan">
          <TableHead>
            <TableRow>
              <TableCell>Category or brand</TableCell>
              <TableCell>Price from</TableCell>
              <TableCell>to</TableCell>
              <TableCell>Stars from</TableCell>
              <TableCell>to</TableCell>
              <TableCell>Bid</TableCell>
              <TableCell>To be told</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {plan.refined.map((one, at) => (
              <RefinedRow key={at} one={one} at={at} open={open} />
            ))}
          </TableBody>
        </Facts>
      )}
    </>
  );
}

function RefinedRow({ one, at, open }: { one: PlanRefined; at: number; open: OpenPlan }) {
  const { account, plan, edit, data } = open;
  const { aim, name, refine } = one;
  const put = (change: Partial<PlanRefined>) =>
    edit(
      { refined: plan.refined.map((other, index) => (index === at ? { ...other, ...change } : other)) },
      `a ${aim} was edited`,
    );
  const bound = (field: keyof Refinement, value: number | undefined) => {
    const { [field]: _, ...rest } = refine ?? {};
    const next = value === undefined ? rest : { ...rest, [field]: value };
    const isNone = Object.keys(next).length === 0;
    put({ refine: isNone ? null : next, against: isNone ? null : (one.against ?? data.listing) });
  };
  const price = (field: 'minPrice' | 'maxPrice', label: string) => (
    <MoneyField
      label={`${name}: ${label}`}
      isLabelled={false}
      micros={refine?.[field] ?? null}
      currency={account.currency}
      step={1_000_000}
      onMicros={(value) => bound(field, value)}
      onNone={() => bound(field, undefined)}
    />
  );
  const stars = (field: 'minRating' | 'maxRating', label: string) => (
    <NumberField
      label={`${name}: ${label}`}
      isLabelled={false}
      value={refine?.[field] ?? null}
      min={0}
      max={5}
      step={0.1}
      onChange={(value) => bound(field, value)}
      onNone={() => bound(field, undefined)}
    />
  );
  return (
    <TableRow>
      <TableCell>
        {aim === 'category' ? (
          <Choice label={`Category ${at + 1}`} value={name} onChange={(next) => put({ name: next })}>
            {data.categories}
          </Choice>
        ) : (
          <TextBox
            aria-label={`Brand ${at + 1}`}
            letters={18}
            value={name}
            placeholder="brand"
            onChange={({ target }) => put({ name: target.value })}
          />
        )}
      </TableCell>
      <TableCell>{price('minPrice', 'least price')}</TableCell>
      <TableCell>{price('maxPrice', 'highest price')}</TableCell>
      <TableCell>{stars('minRating', 'least stars')}</TableCell>
      <TableCell>{stars('maxRating', 'most stars')}</TableCell>
      <TableCell>
        <MoneyField
          label={`Bid on ${name}`}
          isLabelled={false}
          micros={one.bid ?? plan.parts[aim === 'brand' ? 'brands' : 'categories'].bid}
          currency={account.currency}
          step={account.limits.bidStep}
          onMicros={(bid) => put({ bid })}
        />
      </TableCell>
      <TableCell>
        <FaultWords faults={open.faults.at(`refined.${at}`)} />
        <Refusal open={open} at={`refined.${at}`} />
      </TableCell>
      <TableCell>
        <TakeOut
          what={name}
          onClick={() =>
            edit({ refined: plan.refined.filter((_, index) => index !== at) }, `a ${aim} taken out`)
          }
        />
      </TableCell>
    </TableRow>
  );
}
