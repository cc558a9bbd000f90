import Button from '@mui/material/Button';
import { lensNamed } from '../../../core/lenses';
import type { FieldState } from '../useFieldState';
import type { ArrangedRows, LoadedLens } from '../../../plans/field';

interface NothingHereProps {
  state: FieldState;
  account: number;
  loaded: LoadedLens;
  arranged: ArrangedRows;
}

/** Why there are no rows, and what to do. */
export function NothingHere({ state, account, loaded, arranged }: NothingHereProps) {
  const { rows } = lensNamed(state.lens);
  if (loaded.table.size === 0)
    return (
      <>
        This account has no {rows} yet. Fetch from the market or import a report under{' '}
        <a href={`/setup?account=${account}`}>Setup</a>.
      </>
    );
  if (arranged.inScope === 0)
    return (
      <>
        No {rows} in here. <Button onClick={() => state.setScope(null)}>Show the whole account</Button>
      </>
    );
  return (
    <>
      None of {arranged.inScope.toLocaleString('en-GB')} {rows} meets all conditions.{' '}
      <Button onClick={() => state.setStack([])}>Drop the conditions</Button>
    </>
  );
}
