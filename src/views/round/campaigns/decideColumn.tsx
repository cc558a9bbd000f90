import type { LensTable } from '../../../core/lenses';
import type { Column } from '../../../table';
import { DecideCell } from '../frame/DecideCell';
import type { DecideCellProps } from '../frame/DecideCell';

interface Deciding {
  work: {
    decisions: DecideCellProps['decisions'];
    accept: (rows: number[]) => Promise<void>;
  };
  table: LensTable;
  isAside: boolean;
  /** Whether there is anything to decide on a row. */
  isOpen: (row: number) => boolean;
}

/** The last column of a step over campaigns: accept a row, leave it, or put it off. */
export const decideColumn = ({ work, table, isAside, isOpen }: Deciding): Column<number> => ({
  key: 'decide',
  label: '',
  width: '80px',
  cell: (row) => (
    <DecideCell
      id={table.campaignId[row]}
      name={table.name[row]}
      decisions={work.decisions}
      isAside={isAside}
      isOpen={isOpen(row)}
      onAccept={() => void work.accept([row])}
    />
  ),
});
