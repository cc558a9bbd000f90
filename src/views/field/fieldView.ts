import { readAnyOf } from '../../core/conditions';
import type { NumberKey, SortOrder, Stack } from '../../core/conditions';
import { LENS_NAMES, readScope } from '../../core/lenses';
import type { Dimension, LensName } from '../../core/lenses';
import { readWindow } from '../shared/window/readWindow';
import { USUAL_LENS } from './lensLoad';

export type PictureKind = 'cut' | 'bars' | 'trend' | 'histogram';
export type Shape = 'rows' | 'cross';

function readSorts(text: string | null): SortOrder[] {
  return (text ?? '-spend')
    .split(',')
    .filter(Boolean)
    .map((one) => ({ by: one.replace(/^-/, '') as SortOrder['by'], descending: one.startsWith('-') }));
}

/** What an address says of the field, read. */
export function readView(values: URLSearchParams) {
  const pick = <T extends string>(key: string, choices: readonly T[], usual: T): T =>
    choices.find((one) => one === values.get(key)) ?? usual;
  return {
    lens: pick<LensName>('lens', LENS_NAMES, USUAL_LENS),
    scope: readScope(values.get('in')),
    from: values.get('from'),
    to: values.get('to'),
    asked: readWindow(values),
    stack: values.getAll('where').flatMap((text) => {
      const group = readAnyOf(text);
      return group ? [group] : [];
    }) as Stack,
    sorts: readSorts(values.get('sort')),
    columns: values.get('cols')?.split(',') ?? null,
    shape: pick<Shape>('shape', ['rows', 'cross'], 'rows'),
    picture: pick<PictureKind>('picture', ['cut', 'bars', 'trend', 'histogram'], 'cut'),
    measures: (values.get('measures')?.split(',') ?? ['spend', 'sales']) as NumberKey[],
    down: (values.get('down') ?? 'campaign') as Dimension,
    across: (values.get('across') ?? 'kind') as Dimension,
    cell: (values.get('cell') ?? 'acos') as NumberKey,
    /** A second measure in the cells of the cross-tab; null: none. */
    also: values.get('also') as NumberKey | null,
  };
}
