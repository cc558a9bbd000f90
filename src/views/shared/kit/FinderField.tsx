import Autocomplete, { createFilterOptions } from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

export interface FinderProps<T extends string | number> {
  label: string;
  value: T | null;
  placeholder?: string;
  /** Value and words of each choice, those of a group together; there may be thousands. */
  children: readonly { value: T; words: string; group?: string }[];
  onChange: (value: T) => void;
}

/** So many matches are shown; further letters narrow them. */
const MOST = 80;

/** One of many: found by typing a part of its name. */
export function FinderField({ label, value, placeholder, children, onChange }: FinderProps<string | number>) {
  type One = (typeof children)[number];
  return (
    <Autocomplete<One, false, boolean>
      size="small"
      fullWidth
      options={children}
      value={children.find((one) => one.value === value) ?? null}
      disableClearable={value !== null}
      {...(children.some(({ group }) => group !== undefined) && {
        groupBy: (one: One | string) => (one as One).group ?? '',
      })}
      filterOptions={createFilterOptions<One>({ limit: MOST, matchFrom: 'any' })}
      getOptionKey={(one) => (one as One).value}
      getOptionLabel={(one) => (one as One).words}
      isOptionEqualToValue={(a, b) => a.value === b.value}
      noOptionsText="No name holds that."
      onChange={(_, next) => next && onChange(next.value)}
      renderInput={(params) => (
        <TextField
          {...params}
          placeholder={placeholder}
          slotProps={{
            ...params.slotProps,
            htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': label },
          }}
        />
      )}
    />
  );
}
