import { asUsual } from '../context/reading';
import type { Caller } from './caller';
import { recorded } from './recorded';

/** Writes in the trail that somebody took a file out: apart from the reading that makes it, which writes nothing. @param of what it holds */
export const noteExport = (
  caller: Caller,
  accountId: number,
  of: { what: string; format: string; from?: string; to?: string; find?: string },
): Promise<void> =>
  asUsual(() =>
    recorded(caller, accountId, async (_tx, note) => {
      const { what, ...how } = of;
      note({ what: 'export', subject: what, to: how });
    }),
  );
