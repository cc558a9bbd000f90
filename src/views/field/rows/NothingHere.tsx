import { formatCount } from '../../../core/units';
import Button from '@mui/material/Button';
import { lensNamed } from '../../../core/lenses';
import { pageLink } from '../../shared/frame/pages';
import { Empty, PlaceLink } from '../../shared/kit';
import type { FieldState } from '../useFieldState';
import type { ArrangedRows, LoadedLens } from '../../../plans/field';
import { WHOLE_ACCOUNT } from '../../shared/words';

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
      <Empty
        why="They come with a sync from the market, or with a report."
        next={<PlaceLink href={pageLink('setup', account)}>Fetch or import them under Setup</PlaceLink>}
      >
        This account has no {rows} yet.
      </Empty>
    );
  if (arranged.inScope === 0)
    return (
      <Empty
        next={
          <Button variant="outlined" onClick={() => state.setScope(null)}>
            {WHOLE_ACCOUNT}
          </Button>
        }
      >
        There are no {rows} in here.
      </Empty>
    );
  return (
    <Empty
      next={
        <Button variant="outlined" onClick={() => state.setStack([])}>
          Drop the conditions
        </Button>
      }
    >
      None of {formatCount(arranged.inScope)} {rows} meets all conditions.
    </Empty>
  );
}
