import type { Accepted, SetEntity, Values } from './kinds/spec';

/** What an import says of an entity: its values by the words of changes; a value that it leaves open is missing. */
export interface Said {
  /** Whether the import speaks of the entity at all. */
  of: (entity: SetEntity, id: number) => Values | undefined;
  /** Our number of a target with these words in an ad group that the import speaks of; undefined where it has none. */
  made: (one: Extract<Accepted, { does: 'make-target' }>) => number | undefined;
}

/** What an import tells of a change that was carried out by hand. */
export type Verdict =
  | { is: 'confirmed'; targetId: number | null }
  /** It says something else: what stands there, by word. */
  | { is: 'other'; word: keyof Values; stands: number | string | null }
  /** It says nothing of it. */
  | { is: 'open' };

/** Whether an import bears out that a change was carried out. @param accepted what the change makes of the account */
export function judgeCarried(accepted: Accepted, said: Said): Verdict {
  if (accepted.does === 'make-target') {
    const targetId = said.made(accepted);
    return targetId === undefined ? { is: 'open' } : { is: 'confirmed', targetId };
  }
  if (accepted.does === 'adopt')
    return said.of(accepted.entity, accepted.id) ? { is: 'confirmed', targetId: null } : { is: 'open' };
  if (accepted.does !== 'set') return { is: 'open' };
  const values = said.of(accepted.entity, accepted.id);
  let isOpen = false;
  for (const [word, wanted] of Object.entries(accepted.values) as [keyof Values, number | string | null][]) {
    const stands = values?.[word];
    if (stands === undefined) isOpen = true;
    else if (stands !== wanted) return { is: 'other', word, stands };
  }
  return isOpen ? { is: 'open' } : { is: 'confirmed', targetId: null };
}
