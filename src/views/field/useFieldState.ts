import { useMemo } from 'react';
import { writeAnyOf } from '../../core/conditions';
import type { NumberKey, SortOrder, Stack } from '../../core/conditions';
import { writeScope } from '../../core/lenses';
import type { Dimension, LensName, LensScope } from '../../core/lenses';
import type { Window } from '../../core/windows';
import type { Swath } from '../../contract/field';
import { useUrlState } from '../shared/urlState';
import { readView } from './fieldView';
import type { PictureKind, Shape } from './fieldView';

export const writeSorts = (sorts: readonly SortOrder[]): string =>
  sorts.map(({ by, descending }) => `${descending ? '-' : ''}${by}`).join(',');

/** What a click on a heading makes of the order: the other way round, or a further order. */
export function nextSorts(sorts: SortOrder[], key: string, isAlso: boolean): SortOrder[] {
  const by = key as SortOrder['by'];
  const known = sorts.find((one) => one.by === by);
  const isText = ['name', 'place', 'kind', 'state', 'standing', 'evidence'].includes(key);
  const next = { by, descending: known ? !known.descending : !isText };
  if (!isAlso) return [next];
  return known ? sorts.map((one) => (one.by === by ? next : one)) : [...sorts, next];
}

type Set = ReturnType<typeof useUrlState>['set'];

/** What changes the address; each the same function for as long as the page lives. */
function viewActions(set: Set) {
  return {
    setLens: (next: LensName) => set({ lens: next, cols: null, sort: null }, true),
    setScope: (next: LensScope | null) => set({ in: next && writeScope(next) }, true),
    /** To another lens inside another scope, in one step back. */
    drill: (to: { lens: LensName; scope: LensScope | null; where?: string[]; days?: Window | null }) =>
      set(
        {
          lens: to.lens,
          in: to.scope && writeScope(to.scope),
          cols: null,
          sort: null,
          shape: null,
          ...(to.where ? { where: to.where } : {}),
          ...(to.days ? { from: to.days.from, to: to.days.to } : {}),
        },
        true,
      ),
    /** What the window is compared with; null: the days before it. */
    setVersus: (versus: string | null) => set({ versus }),
    setWindow: (from: string | null, to: string | null) => set({ from, to }),
    setStack: (next: Stack) => set({ where: next.map(writeAnyOf) }),
    setSorts: (next: SortOrder[]) => set({ sort: writeSorts(next) }),
    setColumns: (next: string[] | null) => set({ cols: next && next.join(',') }),
    setShape: (next: Shape) => set({ shape: next === 'rows' ? null : next }, true),
    setPicture: (next: PictureKind) => set({ picture: next === 'cut' ? null : next }),
    setMeasures: (next: NumberKey[]) => set({ measures: next.join(',') }),
    setCross: (next: { down?: Dimension; across?: Dimension; cell?: NumberKey; also?: NumberKey | null }) =>
      set(next),
    /** A swath without a window of its own is looked at in the one that is shown. */
    showSwath: ({ lens, conditions, sort, from, to }: Omit<Swath, 'id' | 'name'>) =>
      set(
        {
          lens,
          where: conditions,
          sort: sort || null,
          cols: null,
          shape: null,
          ...(from !== null && { from, to }),
        },
        true,
      ),
  };
}

/** Everything in the field that a link carries. */
export function useFieldState() {
  const { values, set } = useUrlState();
  const actions = useMemo(() => viewActions(set), [set]);
  return useMemo(() => ({ ...readView(values), ...actions }), [values, actions]);
}

export type FieldState = ReturnType<typeof useFieldState>;
