import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import type { ReactNode, Ref } from 'react';

/** Value and words of one choice, and whether it cannot be taken. */
export type Option = readonly [value: string | number, words: string, isOff?: boolean];

interface ChoiceProps {
  label: string;
  value: string | number;
  onChange: (value: string) => void;
  /** The choices; words alone where they are the value too. */
  children: readonly (Option | string)[];
  /** Whether the label stands in front of it. */
  isLabelled?: boolean;
  /** What stands in it before anything is chosen. */
  placeholder?: string;
  isOff?: boolean;
  width?: number;
  id?: string;
  /** Can be told to take the focus. */
  inputRef?: Ref<{ focus: () => void }>;
  autoFocus?: boolean;
  /** An option has the pointer or the focus: it may be taken next. */
  onConsider?: (key: string) => void;
}

/** One of several. */
export function Choice(props: ChoiceProps) {
  const {
    label,
    value,
    onChange,
    children,
    isLabelled = false,
    placeholder,
    isOff,
    inputRef,
    autoFocus,
    onConsider,
  } = props;
  const options = children.map((one): Option => (typeof one === 'string' ? [one, one] : one));
  const words = (chosen: unknown): ReactNode =>
    options.find(([key]) => String(key) === String(chosen))?.[1] ?? (
      <span className="faint">{placeholder}</span>
    );
  const select = (
    <Select
      id={props.id}
      value={String(value)}
      displayEmpty
      disabled={isOff}
      autoFocus={autoFocus}
      renderValue={words}
      onChange={({ target }) => onChange(target.value)}
      inputRef={inputRef}
      SelectDisplayProps={{ 'aria-label': label } as object}
      MenuProps={{ transitionDuration: 0, slotProps: { list: { dense: true, 'aria-label': label } } }}
      sx={props.width === undefined ? undefined : { width: props.width }}
    >
      {options.map(([key, name, isDisabled]) => (
        <MenuItem
          key={key}
          value={String(key)}
          disabled={isDisabled}
          onMouseEnter={onConsider && (() => onConsider(String(key)))}
          onFocus={onConsider && (() => onConsider(String(key)))}
        >
          {name}
        </MenuItem>
      ))}
    </Select>
  );
  if (!isLabelled) return select;
  return (
    <span className="labelled">
      <span className="faint">{label}</span>
      {select}
    </span>
  );
}
