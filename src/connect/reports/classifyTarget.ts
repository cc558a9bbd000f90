import { isItemCode, writeItemCode } from '../../core/matching';
import type { KeywordMatch } from '../../core/matching';
import type { TargetKind } from '../../core/structure';

/** What a report's target text and match type say about a target. */
export interface TargetDescription {
  kind: TargetKind;
  match: KeywordMatch | null;
  expression: string;
}

const AUTO_GROUPS = new Set([
  'near searches',
  'wide searches',
  'rival items',
  'companion items',
  'auto',
  'automatic',
  '*',
]);

/**
 * Tells keywords, items, categories and automatic groups apart. A text without a usable match type is a broad
 * keyword when a match type column exists but says something else; with no text at all the target is unknown.
 */
export function classifyTarget(target: string, matchText: string): TargetDescription {
  const text = target.trim().replace(/\s+/g, ' ');
  const match = matchText.trim().toLowerCase();
  const lower = text.toLowerCase();
  const keyword = (['exact', 'phrase', 'broad'] as const).find((one) => match.startsWith(one));
  if (keyword && text !== '') return { kind: 'keyword', match: keyword, expression: text };
  if (AUTO_GROUPS.has(lower) || match.startsWith('auto'))
    return { kind: 'auto', match: null, expression: lower || 'auto' };
  if (text === '' || text === '-') return { kind: 'unknown', match: null, expression: '' };
  if (isItemCode(text)) return { kind: 'item', match: null, expression: writeItemCode(text) };
  if (lower.startsWith('category') || match === 'category')
    return { kind: 'category', match: null, expression: text };
  if (lower.startsWith('brand') || match === 'brand') return { kind: 'brand', match: null, expression: text };
  const quoted = /^[a-z]+="?([a-z0-9]{10})"?$/i.exec(text);
  if (quoted && isItemCode(quoted[1]))
    return { kind: 'item', match: null, expression: writeItemCode(quoted[1]) };
  return { kind: 'keyword', match: 'broad', expression: text };
}
