import type { Transaction } from '../../db/connection';
import { insertAudit, nameCaller } from '../../db/queries/audit';
import { db } from '../context/context';
import type { Caller } from './caller';

/** One line of the trail: what was done, to what, from what and to what. */
export interface TrailEntry {
  what: string;
  subject?: string;
  from?: unknown;
  to?: unknown;
}

/** Writes a line of the trail when the work is done. */
export type Note = (entry: TrailEntry) => void;

/**
 * The one transaction of a writing use case: what it writes names its caller, and its lines of the trail are written with it or not at all.
 * @param of the account, or how it is found in what the work made
 */
export async function recorded<T>(
  caller: Caller,
  of: number | ((made: T) => number),
  work: (tx: Transaction, note: Note) => Promise<T>,
): Promise<T> {
  return db().begin(async (tx) => {
    await nameCaller(tx, caller.name);
    const entries: TrailEntry[] = [];
    const result = await work(tx, (entry) => entries.push(entry));
    const accountId = typeof of === 'number' ? of : of(result);
    for (const entry of entries) await insertAudit(tx, accountId, entry);
    return result;
  }) as Promise<T>;
}
