import { groupBy } from '../../core/order';
import type { WordsSummary } from '../../plans/words';
import { Choice, Finder } from '../shared/kit';
import type { Option } from '../shared/kit';

interface ProductChoiceProps {
  loaded: WordsSummary;
  value: number | null;
  /** What stands for no product; left out: one has to be chosen. */
  all?: string;
  onChange: (id: number | null) => void;
}

/** More products than this are found by typing, under their lines. */
const MANY = 25;

/** Chooses a product whose terms are looked at, best sellers first. */
export function ProductChoice({ loaded, value, all, onChange }: ProductChoiceProps) {
  const { products } = loaded;
  if (products.length > MANY)
    return (
      <Finder
        label="Product"
        value={value ?? 0}
        placeholder={all ?? 'Find a product …'}
        onChange={(next) => onChange(next === 0 ? null : next)}
      >
        {[
          ...(all === undefined ? [] : [{ value: 0, words: all, group: '' }]),
          ...[...groupBy(products, ({ line }) => line)].flatMap(([line, own]) =>
            own.map(({ id, name }) => ({ value: id, words: name, group: line || 'no line' })),
          ),
        ]}
      </Finder>
    );
  return (
    <Choice
      label="Product"
      value={value ?? ''}
      onChange={(next) => onChange(next === '' ? null : Number(next))}
    >
      {[
        ...(all !== undefined ? [['', all] as const] : []),
        ...products.map(({ id, name }): Option => [id, name]),
      ]}
    </Choice>
  );
}
