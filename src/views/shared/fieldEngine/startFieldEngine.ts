import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import type { FieldEngine } from './fieldEngine';

/** One worker for the page: it keeps the account's figures. */
export function startFieldEngine(): Remote<FieldEngine> {
  return wrap<FieldEngine>(new Worker(new URL('./field.worker.ts', import.meta.url), { type: 'module' }));
}
