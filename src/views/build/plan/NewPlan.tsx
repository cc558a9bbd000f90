import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { PlansAnswer } from '../../../contract/build';
import { Ask, Choice, Field, Finder } from '../../shared/kit';
import type { Option } from '../../shared/kit';
import { useTell } from '../../shared/useTell';
import { buildApi } from './buildApi';
import { hasWords } from './productWords';

interface NewPlanProps {
  account: AccountInfo;
  answer: PlansAnswer;
  /** The product that it is to be for; null: the first that has no campaigns. */
  wanted: number | null;
  /** Null: none was begun. */
  onDone: (id: number | null) => void;
}

/** For which product a plan is begun, and like which other one. */
export function NewPlan({ account, answer, wanted, onDone }: NewPlanProps) {
  const client = useQueryClient();
  const tell = useTell();
  const bare = answer.products.find(({ has }) => Object.keys(has).length === 0);
  const [productId, setProduct] = useState<number | null>(wanted ?? bare?.id ?? null);
  const [like, setLike] = useState(0);
  const { mutate, isPending } = useMutation({
    mutationFn: () =>
      buildApi.begin({ account: account.id, productId: productId!, ...(like > 0 && { like }) }),
    onSuccess: async ({ id }) => {
      await client.invalidateQueries({ queryKey: ['build', account.id] });
      onDone(id);
    },
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
  });
  const product = answer.products.find(({ id }) => id === productId);
  return (
    <Ask
      title="New plan"
      does="Begin"
      isOff={productId === null || isPending}
      onDone={(isWanted) => (isWanted ? mutate() : onDone(null))}
    >
      <div className="rows">
        <Field label="Product, by name, SKU or item code">
          <Finder label="Product" value={productId} onChange={(id) => setProduct(Number(id))}>
            {answer.products.map(({ id, name, sku, itemCode }) => ({
              value: id,
              words: [name, sku, itemCode].filter(Boolean).join(' · '),
            }))}
          </Finder>
        </Field>
        {product && <p className="note">{hasWords(product)}</p>}
        <Field label="Like another plan: its terms, rivals and settings">
          <Choice label="Like" value={like} onChange={(next) => setLike(Number(next))}>
            {[
              [0, 'None: begin afresh'] as Option,
              ...answer.plans.map(({ id, product: name, code, isThrown }): Option => [
                id,
                `${name} (${code})${isThrown ? ', thrown away' : ''}`,
              ]),
            ]}
          </Choice>
        </Field>
      </div>
    </Ask>
  );
}
