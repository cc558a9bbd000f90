import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Switch from '@mui/material/Switch';
import type { ReactNode } from 'react';

interface CheckProps {
  children: ReactNode;
  isOn: boolean;
  onChange: (isOn: boolean) => void;
  isOff?: boolean;
  /** A longer word on it. */
  title?: string;
  /** Set at once, as a switch, rather than as one of a list. */
  isSwitch?: boolean;
  /** Not shown to whoever has not this right. */
  'data-may'?: string;
}

/** Yes or no, with its words behind it. */
export function Check({ children, isOn, onChange, isOff, title, isSwitch = false, ...more }: CheckProps) {
  const Control = isSwitch ? Switch : Checkbox;
  return (
    <FormControlLabel
      title={title}
      disabled={isOff}
      control={<Control checked={isOn} onChange={(_, next) => onChange(next)} />}
      label={children}
      {...more}
    />
  );
}

interface OneOfProps<T extends string> {
  label: string;
  value: T;
  children: readonly T[];
  onChange: (value: T) => void;
}

/** One of a few that all stay in sight. */
export function OneOf<T extends string>({ label, value, children, onChange }: OneOfProps<T>) {
  return (
    <RadioGroup row aria-label={label} value={value} onChange={(_, next) => onChange(next as T)}>
      {children.map((one) => (
        <FormControlLabel key={one} value={one} control={<Radio />} label={one} />
      ))}
    </RadioGroup>
  );
}
