import type { Remote } from 'comlink';
import type { FieldEngine } from './fieldEngine';
import { startFieldEngine } from './startFieldEngine';

let engine: Remote<FieldEngine> | null = null;

/** The page's one engine; its worker is started when it is first needed. */
export function pageEngine(): Remote<FieldEngine> {
  engine ??= startFieldEngine();
  return engine;
}
