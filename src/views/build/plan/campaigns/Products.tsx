import Button from '@mui/material/Button';
import { useState } from 'react';
import type { PlanProduct } from '../../../../contract/build';
import type { ProductRule } from '../../../../core/build';
import { NO_RULE, productsBy } from '../../../../core/build';
import { formatCount } from '../../../../core/units';
import { Choice, Finder, MoneyField, NumberField, ShareField } from '../../../shared/kit';
import type { Option } from '../../../shared/kit';
import { FaultWords } from '../FaultWords';
import type { OpenPlan } from '../usePlan';
import { usePlans } from '../usePlans';

/** Products that the ads show beside the one that the plan is for: chosen by hand, or by a rule. */
export function Products({ open }: { open: OpenPlan }) {
  const { account, plan, edit, faults } = open;
  const { data } = usePlans(account);
  const [isOpen, setOpen] = useState(plan.more.length > 0);
  const products = data?.products ?? [];
  const nameOf = (id: number) => products.find((one) => one.id === id)?.name ?? `Product ${id}`;
  const others = products.filter(({ id }) => id !== plan.productId);
  const byRule = (rule: ProductRule) =>
    edit({ rule, more: productsBy(rule, others).map(({ id }) => id) }, 'the products were edited');
  if (!isOpen)
    return (
      <p>
        <Button variant="link" onClick={() => setOpen(true)}>
          Show other products in the same ads …
        </Button>
      </p>
    );
  return (
    <>
      <h2 className="part serif">Products in the same ads</h2>
      <div className="bar">
        <Choice
          label="chosen"
          isLabelled
          value={plan.rule ? 'rule' : 'hand'}
          onChange={(next) => (next === 'rule' ? byRule(NO_RULE) : edit({ rule: null }))}
        >
          {[
            ['hand', 'by hand'],
            ['rule', 'by a rule'],
          ]}
        </Choice>
        {plan.rule ? (
          <RuleFields rule={plan.rule} open={open} products={others} onRule={byRule} />
        ) : (
          <span className="finderBox">
            <Finder
              label="Add a product"
              value={null}
              placeholder="Add a product …"
              onChange={(id) => edit({ more: [...plan.more, Number(id)] }, 'the products were edited')}
            >
              {others
                .filter(({ id }) => !plan.more.includes(id))
                .map(({ id, name, sku }) => ({ value: id, words: [name, sku].filter(Boolean).join(' · ') }))}
            </Finder>
          </span>
        )}
      </div>
      <ul className="plainList">
        {plan.more.map((id) => (
          <li key={id}>
            {nameOf(id)}{' '}
            {!plan.rule && (
              <Button
                variant="link"
                aria-label={`Take out ${nameOf(id)}`}
                onClick={() =>
                  edit({ more: plan.more.filter((one) => one !== id) }, 'the products were edited')
                }
              >
                Take out
              </Button>
            )}
          </li>
        ))}
      </ul>
      {plan.rule && (
        <p className="note">
          {formatCount(plan.more.length)} products fit now. Once sent, Structure tells each day which have
          come or gone by the rule.
        </p>
      )}
      <FaultWords faults={faults.at('more')} />
    </>
  );
}

interface RuleFieldsProps {
  rule: ProductRule;
  open: OpenPlan;
  products: readonly PlanProduct[];
  onRule: (rule: ProductRule) => void;
}

function RuleFields({ rule, open: { account }, products, onRule }: RuleFieldsProps) {
  const lines = [
    ...new Map(products.flatMap(({ lineId, line }) => (lineId && line ? [[lineId, line]] : []))),
  ];
  const put = (change: Partial<ProductRule>) => onRule({ ...rule, ...change });
  const money = (field: 'minPrice' | 'maxPrice', label: string) => (
    <MoneyField
      label={label}
      micros={rule[field]}
      currency={account.currency}
      step={1_000_000}
      onMicros={(value) => put({ [field]: value })}
      onNone={() => put({ [field]: null })}
    />
  );
  const share = (field: 'minMargin' | 'maxMargin' | 'minDiscount' | 'maxDiscount', label: string) => (
    <ShareField
      label={label}
      share={rule[field]}
      most={1}
      onShare={(value) => put({ [field]: value })}
      onNone={() => put({ [field]: null })}
    />
  );
  return (
    <>
      <Choice
        label="line"
        isLabelled
        value={rule.lineId ?? 0}
        onChange={(next) => put({ lineId: Number(next) || null })}
      >
        {[[0, 'any'] as Option, ...lines.map(([id, name]): Option => [id as number, String(name)])]}
      </Choice>
      {money('minPrice', 'price from')}
      {money('maxPrice', 'to')}
      {share('minMargin', 'margin from')}
      {share('maxMargin', 'to')}
      <NumberField
        label="stock from"
        value={rule.minStock}
        min={0}
        step={10}
        onChange={(minStock) => put({ minStock })}
        onNone={() => put({ minStock: null })}
      />
      {share('minDiscount', 'discount from')}
      {share('maxDiscount', 'to')}
    </>
  );
}
