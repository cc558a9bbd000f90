import ChevronRight from '@mui/icons-material/ChevronRight';
import Button from '@mui/material/Button';
import { LENSES } from '../../core/lenses';
import { Tabs } from '../shared/kit';
import type { FieldState } from './useFieldState';
import type { ArrangedRows } from '../../plans/field';

const TABS = LENSES.map(({ name, label }, at) => ({
  name,
  label,
  keys: `Look at ${label.toLowerCase()} (${at + 1})`,
}));

/** The lenses, whether rows or a cross-tab are shown, and where in the account one is. */
export function LensBar({ state, path }: { state: FieldState; path: ArrangedRows['path'] }) {
  return (
    <>
      <h1 className="sr">Field</h1>
      <div className="lensBar">
        <Tabs label="Lenses" value={state.lens} onChange={state.setLens}>
          {TABS}
        </Tabs>
        <span className="room" />
        <Button
          aria-pressed={state.shape === 'cross'}
          title={state.shape === 'cross' ? 'Show rows (x)' : 'Show the cross-tab (x)'}
          onClick={() => state.setShape(state.shape === 'cross' ? 'rows' : 'cross')}
        >
          {state.shape === 'cross' ? 'Rows' : 'Cross-tab'}
        </Button>
      </div>
      {path.length > 0 && <Path state={state} path={path} />}
    </>
  );
}

function Path({ state, path }: { state: FieldState; path: ArrangedRows['path'] }) {
  return (
    <nav aria-label="Inside" className="path">
      <Button variant="link" onClick={() => state.setScope(null)}>
        Whole account
      </Button>
      {path.map(({ scope, name }, at) => (
        <span key={scope.kind} className="pathStep">
          <ChevronRight fontSize="inherit" />
          {at === path.length - 1 ? (
            <strong title={`${scope.kind}: ${name}`}>{name}</strong>
          ) : (
            <Button variant="link" title={scope.kind} onClick={() => state.setScope(scope)}>
              {name}
            </Button>
          )}
        </span>
      ))}
    </nav>
  );
}
