import type { LoadedWords } from '../shared/wordsEngine/types';
import { Choice } from '../shared/kit';
import type { Option } from '../shared/kit';

interface ProductChoiceProps {
  loaded: LoadedWords;
  value: number | null;
  /** What stands for no product; left out: one has to be chosen. */
  all?: string;
  onChange: (id: number | null) => void;
}

/** Chooses a product whose terms are looked at, best sellers first. */
export function ProductChoice({ loaded, value, all, onChange }: ProductChoiceProps) {
  return (
    <Choice
      label="Product"
      value={value ?? ''}
      onChange={(next) => onChange(next === '' ? null : Number(next))}
    >
      {[
        ...(all !== undefined ? [['', all] as const] : []),
        ...loaded.products.map(({ id, name }): Option => [id, name]),
      ]}
    </Choice>
  );
}
