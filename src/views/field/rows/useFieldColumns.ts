import { useMemo, useState } from 'react';
import type { LensName } from '../../../core/lenses';
import { useColumns } from '../../../table';
import type { Column, ColumnState } from '../../../table';
import { recall, remember } from '../../shared/remembered';
import type { FieldState } from '../useFieldState';
import { defaultColumns } from './defaultColumns';

const keyOf = (lens: LensName) => `field-columns-${lens}`;

/** The columns of a lens as they are set: in the link where it names them, else as this browser remembers them. */
export function useFieldColumns(all: Column<number>[], state: FieldState) {
  const { lens } = state;
  const [version, setVersion] = useState(0);
  const columnState = useMemo((): ColumnState => {
    void version;
    const kept = recall<ColumnState>(keyOf(lens), defaultColumns(lens));
    return state.columns ? { ...kept, shown: state.columns } : kept;
  }, [lens, state.columns, version]);
  const keep = (next: ColumnState) => {
    remember(keyOf(lens), next);
    setVersion(version + 1);
    const usual = defaultColumns(lens).shown.join(',');
    state.setColumns(next.shown.join(',') === usual ? null : next.shown);
  };
  return { columns: useColumns(all, columnState, keep), reset: () => keep(defaultColumns(lens)) };
}
