import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { DIMENSIONS, lensNamed } from '../../../core/lenses';
import type { CrossTab, Dimension } from '../../../core/lenses';
import { MEASURES, measure } from '../../../core/measures';
import type { MeasureKey } from '../../../core/measures';
import type { AccountInfo } from '../../../contract/api';
import { saveTable } from '../../shared/api';
import type { FieldState } from '../useFieldState';
import type { FieldEngine } from '../../shared/fieldEngine/fieldEngine';
import type { LoadedLens } from '../../../plans/field';
import { CrossGrid } from './CrossGrid';
import { crossAsTable } from './crossAsTable';
import { Choice, Loading } from '../../shared/kit';
import type { Option } from '../../shared/kit';

interface CrossTabViewProps {
  account: AccountInfo;
  engine: Remote<FieldEngine>;
  loaded: LoadedLens;
  state: FieldState;
  rows: Int32Array;
}

/** The rows summed over two dimensions: true ratios, grand totals, shaded by their distance from target. */
export function CrossTabView({ account, engine, loaded, state, rows }: CrossTabViewProps) {
  const { down, across } = state;
  const key = (MEASURES.some((one) => one.key === state.cell) ? state.cell : 'acos') as MeasureKey;
  const also = MEASURES.find((one) => one.key === state.also && one.key !== key) ?? null;
  const [cross, setCross] = useState<CrossTab | null>(null);
  const [fault, setFault] = useState('');
  useEffect(() => {
    let isStale = false;
    setFault('');
    engine
      .cross(loaded.loadId, rows, [down, across], { account: account.id, window: loaded.window })
      .then((answer) => !isStale && setCross(answer))
      .catch((error: Error) => !isStale && setFault(error.message));
    return () => {
      isStale = true;
    };
  }, [engine, account.id, loaded, rows, down, across]);
  const picker = (label: string, value: Dimension, set: (dimension: Dimension) => void) => (
    <Choice label={label} isLabelled value={value} onChange={(next) => set(next as Dimension)}>
      {DIMENSIONS}
    </Choice>
  );
  const save = (format: 'csv' | 'xlsx') =>
    cross &&
    void saveTable(
      format,
      crossAsTable(cross, also ? [key, also.key] : [key], `${account.name} cross-tab`, down),
    );
  return (
    <Box sx={{ display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)', minHeight: 0 }}>
      <Box className="bar" sx={{ padding: '6px 16px' }}>
        {picker('Down', down, (next) => state.setCross({ down: next }))}
        {picker('Across', across, (next) => state.setCross({ across: next }))}
        <Choice
          label="Measure in the cells"
          value={key}
          onChange={(next) => state.setCross({ cell: next as MeasureKey })}
        >
          {MEASURES.map((one): Option => [one.key, one.label])}
        </Choice>
        <Choice
          label="Second measure in the cells"
          value={also?.key ?? ''}
          onChange={(next) => state.setCross({ also: next === '' ? null : (next as MeasureKey) })}
        >
          {[['', 'and …'] as Option, ...MEASURES.map((one): Option => [one.key, one.label])]}
        </Choice>
        <span className="faint">of {lensNamed(state.lens).rows}</span>
        <span className="room" />
        <Button onClick={() => save('csv')}>CSV</Button>
        <Button onClick={() => save('xlsx')}>XLSX</Button>
      </Box>
      {fault !== '' ? (
        <p className="line over page" role="alert">
          ▲ {fault}
        </p>
      ) : cross ? (
        <CrossGrid
          cross={cross}
          measure={measure(key)}
          also={also}
          state={state}
          currency={account.currency}
        />
      ) : (
        <Loading>Summing …</Loading>
      )}
    </Box>
  );
}
