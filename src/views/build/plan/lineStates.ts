import type { PlanAnswer, PlanLine } from '../../../contract/build';
import { lineOf } from '../../../core/build';
import type { PlannedCampaign } from '../../../core/build';
import { formatCount } from '../../../core/units';

/** How some lines stand: how many are made, under way, in the tray, refused. */
function wordsOf(lines: readonly PlanLine[]): { words: string; isBad: boolean } {
  const count = (state: PlanLine['state']) => lines.filter((line) => line.state === state).length;
  const parts = [
    [count('accepted'), 'made'],
    [count('sending'), 'under way'],
    [count('staged'), 'in the tray'],
    [count('refused'), 'refused'],
  ] as const;
  const words = parts.flatMap(([n, word]) => (n > 0 ? [`${formatCount(n)} ${word}`] : []));
  return { words: `${words.join(', ')}.`, isBad: count('refused') > 0 };
}

/** How a campaign of a plan stands; null where nothing of it was put to the tray. */
export function stateOf(lines: PlanAnswer['lines'], key: string): { words: string; isBad: boolean } | null {
  const own = Object.entries(lines).filter(([line]) => line.startsWith(`${key} | `));
  return own.length === 0 ? null : wordsOf(own.map(([, line]) => line));
}

/** How far a plan is as a whole; null where nothing of it was put to the tray. */
export function linesOfPlan(
  lines: PlanAnswer['lines'],
): { words: string; isBad: boolean; bales: number[] } | null {
  const all = Object.values(lines);
  if (all.length === 0) return null;
  const told = wordsOf(all);
  return { ...told, bales: [...new Set(all.flatMap(({ baleId }) => baleId ?? []))].sort((a, b) => a - b) };
}

/** What the market said against the targets of one place of the plan. @param at "terms.3" */
export function refusalsAt(
  { campaigns, data }: { campaigns: readonly PlannedCampaign[]; data: Pick<PlanAnswer, 'lines'> },
  at: string,
): string[] {
  return campaigns.flatMap(({ key, targets }) =>
    targets
      .filter((target) => target.at === at)
      .flatMap((target) => {
        const line = data.lines[lineOf.target(key, target)];
        return line?.state === 'refused' ? [`Refused: ${line.answer ?? 'the market gave no reason.'}`] : [];
      }),
  );
}
