import OutlinedInput from '@mui/material/OutlinedInput';
import type { ComponentProps } from 'react';

type TextBoxProps = Omit<ComponentProps<'input'>, 'type' | 'ref' | 'size'> & {
  /** Width in letters. */
  letters?: number;
  /** Takes what room there is. */
  isWide?: boolean;
  /** So many lines; one by itself. */
  lines?: number;
  isWrong?: boolean;
  /** A password: it is not shown. */
  isSecret?: boolean;
  inputRef?: ComponentProps<typeof OutlinedInput>['inputRef'];
};

/** Text to type; takes what an input takes. */
export function TextBox({
  letters,
  isWide,
  lines,
  isWrong,
  isSecret,
  inputRef,
  className,
  ...input
}: TextBoxProps) {
  return (
    <OutlinedInput
      inputRef={inputRef}
      type={isSecret ? 'password' : undefined}
      multiline={lines !== undefined}
      rows={lines}
      error={isWrong}
      className={className}
      inputProps={input as ComponentProps<typeof OutlinedInput>['inputProps']}
      sx={{
        ...(letters !== undefined && { width: `${letters + 2}ch` }),
        ...(isWide && { flex: 1, width: '100%', minWidth: 0 }),
      }}
    />
  );
}
