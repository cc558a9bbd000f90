interface ChoiceProps {
  label: string;
  value: string | number;
  onChange: (value: string) => void;
  /** Value and words of each choice. */
  children: readonly (readonly (string | number)[])[];
}

/** One of several, with its label in front. */
export function Choice({ label, value, onChange, children }: ChoiceProps) {
  return (
    <label>
      <span className="faint">{label}</span>{' '}
      <select
        aria-label={label}
        value={value}
        style={{ maxWidth: 210 }}
        onChange={(event) => onChange(event.target.value)}
      >
        {children.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
