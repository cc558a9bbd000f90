import type { Remote } from 'comlink';
import type { FieldEngine } from '../shared/fieldEngine/fieldEngine';
import { pageEngine } from '../shared/fieldEngine/pageEngine';
import { useWorkerLoad } from '../shared/worker/useWorkerLoad';
import { useAnswer } from '../shared/useAnswer';
import type { AccountInfo } from '../../contract/api';
import type { ArrangedRows, RowsAsked } from '../../plans/field';
import type { AskedWindow } from '../../contract/requests';
import type { LensName } from '../../core/lenses';
import { lensLoad } from './lensLoad';

/** The figures of a lens, loaded into the page's worker. */
export function useLens(account: AccountInfo | undefined, lens: LensName, asked: AskedWindow) {
  const engine = pageEngine();
  const { data, error, isFetching, onGone } = useWorkerLoad(
    lensLoad(account, lens, asked),
    account !== undefined,
  );
  return { engine, loaded: data, error, isFetching, onGone };
}

export type LensState = ReturnType<typeof useLens>;

/** The rows asked for, as the worker answers. `isCurrent` is false while it is at a newer request. */
export function useArrangedRows(
  engine: Remote<FieldEngine>,
  loadId: number | undefined,
  asked: RowsAsked,
  onGone: () => void,
): { arranged: ArrangedRows | null; isCurrent: boolean; error: Error | null } {
  const { answer, isCurrent, error } = useAnswer<RowsAsked, ArrangedRows>(
    loadId,
    asked,
    (id, request) => engine.arrange(id, request),
    onGone,
  );
  return { arranged: answer, isCurrent, error };
}
