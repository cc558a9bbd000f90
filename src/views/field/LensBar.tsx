import ChevronRight from '@mui/icons-material/ChevronRight';
import Button from '@mui/material/Button';
import { LENSES } from '../../core/lenses';
import type { FieldState } from './useFieldState';
import type { ArrangedRows } from '../../plans/field';

/** The lenses, whether rows or a cross-tab are shown, and where in the account one is. */
export function LensBar({ state, path }: { state: FieldState; path: ArrangedRows['path'] }) {
  return (
    <>
      <div
        style={{
          display: 'flex',
          alignItems: 'center',
          padding: '4px 16px 0',
          borderBottom: '1px solid var(--hairline)',
          minWidth: 0,
        }}
      >
        <div
          role="tablist"
          aria-label="Lenses"
          style={{ display: 'flex', whiteSpace: 'nowrap', overflow: 'hidden' }}
        >
          {LENSES.map(({ name, label }, at) => (
            <button
              key={name}
              type="button"
              role="tab"
              aria-selected={name === state.lens}
              title={String(at + 1)}
              className="lens"
              onClick={() => state.setLens(name)}
            >
              {label}
            </button>
          ))}
        </div>
        <span style={{ flex: 1 }} />
        <Button
          aria-pressed={state.shape === 'cross'}
          title="x"
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
      <button type="button" className="link" onClick={() => state.setScope(null)}>
        Whole account
      </button>
      {path.map(({ scope, name }, at) => (
        <span key={scope.kind} style={{ display: 'inline-flex', alignItems: 'center', minWidth: 0 }}>
          <ChevronRight sx={{ fontSize: 14 }} />
          {at === path.length - 1 ? (
            <strong title={`${scope.kind}: ${name}`}>{name}</strong>
          ) : (
            <button type="button" className="link" title={scope.kind} onClick={() => state.setScope(scope)}>
              {name}
            </button>
          )}
        </span>
      ))}
    </nav>
  );
}
