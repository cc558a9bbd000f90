import { MowingError } from '../../contract/mowingError';
import { REPORT_LABELS } from '../../contract/reportFields';
import type { ReportKind } from '../../contract/reportFields';
import { formatFullDay } from '../../core/units';
import { middleDay } from '../../core/windows';
import type { Window } from '../../core/windows';
import type { Transaction } from '../../db/connection';
import { widenCoverage } from '../../db/queries/coverage';
import type { FactTable } from '../../db/queries/factTables';
import { keepSummed, ownDays, sumsMet } from '../../db/queries/summed';

/** The days of a file as they are met, each with what it stands for. */
export interface FactDays {
  /** @throws MowingError when its figures would count twice */
  meet: (day: string, span: Window | null) => Promise<void>;
  /** First and last day of the file; kept as the account's when anything was kept. */
  finish: (isKept: boolean) => Promise<{ firstDay: string | null; lastDay: string | null }>;
}

/** Watches that no day comes both by itself and within a sum. */
export function factDays(tx: Transaction, accountId: number, kind: ReportKind, table: FactTable): FactDays {
  let [firstDay, lastDay] = [null as string | null, null as string | null];
  const twice = (what: string, way: string) =>
    new MowingError(
      'unreadable-file',
      `${what}: their figures would count twice. Nothing was taken in. ${way}`,
    );
  const label = REPORT_LABELS[kind].toLowerCase();
  return {
    async meet(day, span) {
      const days = span ?? { from: day, to: day };
      const [met] = await sumsMet(tx, accountId, kind, days);
      if (met)
        throw twice(
          `The file has ${label} of ${spanOf(days)}, and ${spanOf(met)} are here summed`,
          'Remove that sum under Setup › Data first, or leave these days out.',
        );
      if (span !== null) {
        const own = await ownDays(tx, accountId, kind, table, span);
        if (own !== null)
          throw twice(
            `The file sums up ${label} of ${spanOf(span)}, and ${spanOf(own)} are here day by day`,
            'Fetch the report by day, or for other days.',
          );
        await keepSummed(tx, accountId, { kind, ...span, standsOn: middleDay(span) });
      }
      if (firstDay === null || days.from < firstDay) firstDay = days.from;
      if (lastDay === null || days.to > lastDay) lastDay = days.to;
    },
    async finish(isKept) {
      if (isKept && firstDay !== null && lastDay !== null)
        await widenCoverage(tx, accountId, kind, firstDay, lastDay);
      return { firstDay, lastDay };
    },
  };
}

const spanOf = ({ from, to }: Window) =>
  from === to ? formatFullDay(from) : `${formatFullDay(from)} to ${formatFullDay(to)}`;
