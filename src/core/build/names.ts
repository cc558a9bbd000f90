import { freeName } from '../routes';

/** What a pattern of campaign names can hold, each in braces. */
export const NAME_FIELDS = ['code', 'part', 'purpose', 'source', 'number'] as const;
export type NameField = (typeof NAME_FIELDS)[number];

/** As long as an account keeps no other. */
export const USUAL_NAMES = '{code} – {part} {number}';

/**
 * A name by a pattern. A field that is empty goes with the separators before it; other braces stay as they are.
 */
export function nameBy(pattern: string, fields: Record<NameField, string>): string {
  const filled = pattern.replace(
    /([\s\p{P}\p{S}]*?)\{(code|part|purpose|source|number)\}/gu,
    (_, before: string, field: NameField) => (fields[field] === '' ? '' : `${before}${fields[field]}`),
  );
  return filled
    .replace(/\s+/g, ' ')
    .replace(/^[\s–—\-|/·:]+|[\s–—\-|/·:]+$/gu, '')
    .trim();
}

/** Names that differ from one another and from those that are taken. */
export function freeNames(names: readonly string[], taken: ReadonlySet<string>): string[] {
  const used = new Set(taken);
  return names.map((name) => {
    const free = freeName(name, used);
    used.add(free);
    return free;
  });
}

/** Whether a name can have been made by a pattern, whatever its fields hold; a number may be missing. */
export function fitsPattern(name: string, pattern: string): boolean {
  const parts = pattern.split(/(\{(?:code|part|purpose|source|number)\})/);
  const expression = parts
    .map((part) => {
      if (!/^\{.*\}$/.test(part)) return part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s*');
      return part === '{number}' ? '\\d*' : '.+';
    })
    .join('');
  return new RegExp(`^${expression}$`, 'iu').test(name.trim());
}
