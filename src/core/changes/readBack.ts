import { checkChange, isMaking, setValueOf, withValue } from './change';
import type { Change } from './kinds';
import type { MarketLimits } from './limits';

/** A line of a change file that was edited elsewhere: texts as they stand there. */
export interface FileLine {
  line: number;
  /** Number of the change. */
  change: string;
  /** The value to set: the bid of what is added, the value after of what is set. */
  bid: string;
  to: string;
}

/** What a change file says differently from the tray. */
export interface ReadBack {
  edits: { line: number; id: number; from: number; to: number; unit: 'money' | 'share' }[];
  /** Staged changes that the file does not name any more. */
  missing: number[];
  refused: { line: number; reason: string }[];
  /** Lines that say what the tray says. */
  same: number;
}

/**
 * Compares a change file with the tray. Values are checked as the market would.
 * @param readMoney an amount as the file writes it, in micros, or why it is none
 */
export function readBack(
  lines: readonly FileLine[],
  staged: readonly { id: number; change: Change }[],
  limits: MarketLimits,
  readMoney: (text: string) => number | { reason: string },
): ReadBack {
  const byId = new Map(staged.map((one) => [String(one.id), one]));
  const seen = new Set<string>();
  const result: ReadBack = { edits: [], missing: [], refused: [], same: 0 };
  for (const { line, change: text, bid, to } of lines) {
    const refuse = (reason: string) => result.refused.push({ line, reason });
    const id = text.trim();
    const one = byId.get(id);
    if (id === '') refuse('The line has no change number. Make new changes in the rows, not in a file.');
    else if (!one)
      refuse(`The tray has no change ${id}: it was sent or taken out, or belongs to another account.`);
    else if (seen.has(id)) refuse(`Change ${id} stands in the file twice; the first line counts.`);
    else {
      seen.add(id);
      const value = setValueOf(one.change);
      const written = isMaking(one.change) ? bid : to;
      if (!value) {
        result.same += 1;
        continue;
      }
      const next = value.unit === 'money' ? readMoney(written) : readShare(written);
      if (written.trim() === '') refuse('The value is missing.');
      else if (typeof next === 'object') refuse(next.reason);
      else if (next === value.to) result.same += 1;
      else {
        const [finding] = checkChange(withValue(one.change, next), limits);
        if (finding) refuse(`${finding.sentence} The market would refuse it.`);
        else result.edits.push({ line, id: one.id, from: value.to, to: next, unit: value.unit });
      }
    }
  }
  result.missing = staged.filter(({ id }) => !seen.has(String(id))).map(({ id }) => id);
  return result;
}

/** "0.5", "0,5" and "50 %" as a share. */
function readShare(text: string): number | { reason: string } {
  const plain = text.replace('%', '').replace(',', '.').trim();
  if (!/^\d+(\.\d+)?$/.test(plain)) return { reason: `“${text.slice(0, 40)}” is no share.` };
  return text.includes('%') ? Number((Number(plain) / 100).toFixed(4)) : Number(plain);
}
