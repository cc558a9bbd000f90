import Tab from '@mui/material/Tab';
import MuiTabs from '@mui/material/Tabs';

interface TabsProps<T extends string> {
  label: string;
  value: T;
  onChange: (value: T) => void;
  /** Name in the address, words, and the key that goes there. */
  children: readonly { name: T; label: string; keys?: string }[];
}

/** Different looks at the same thing, side by side. */
export function Tabs<T extends string>({ label, value, onChange, children }: TabsProps<T>) {
  return (
    <MuiTabs
      aria-label={label}
      value={value}
      onChange={(_, next: T) => onChange(next)}
      variant="scrollable"
      scrollButtons="auto"
    >
      {children.map(({ name, label: words, keys }) => (
        <Tab key={name} value={name} label={words} title={keys} />
      ))}
    </MuiTabs>
  );
}
