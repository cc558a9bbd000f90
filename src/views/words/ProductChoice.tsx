import type { LoadedWords } from '../shared/wordsEngine/types';

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
    <select
      aria-label="Product"
      value={value ?? ''}
      style={{ maxWidth: 240 }}
      onChange={(event) => onChange(event.target.value === '' ? null : Number(event.target.value))}
    >
      {all !== undefined && <option value="">{all}</option>}
      {loaded.products.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
