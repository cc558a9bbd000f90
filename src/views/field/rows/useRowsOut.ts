import { useTell } from '../../shared/useTell';
import type { RowReader } from '../../../core/conditions';
import type { AccountInfo } from '../../../contract/api';
import type { Column } from '../../../table';
import { saveTable } from '../../shared/api';
import type { LoadedLens } from '../../../plans/field';
import { asTabText, outOfTable } from './outOfTable';
import { countWords } from '../../shared/rowRequest';

/** Ways for rows to leave the page: as a file, or by the clipboard. */
export function useRowsOut(
  account: AccountInfo,
  { table }: LoadedLens,
  reader: RowReader,
  columns: Column<number>[],
) {
  const tell = useTell();
  const out = (rows: ArrayLike<number>) => outOfTable(table, reader, columns, rows, account.currency);
  const fail = (error: Error) => tell(error.message, { kind: 'fault' });
  return {
    save: (format: 'csv' | 'xlsx', rows: ArrayLike<number>) =>
      void saveTable(format, {
        name: `${account.name} ${countWords(table.lens, 2).slice(2)}`,
        ...out(rows),
      }).catch(fail),
    copy: (rows: ArrayLike<number>) =>
      void navigator.clipboard
        .writeText(asTabText(out(rows)))
        .then(() => tell(`Copied ${countWords(table.lens, rows.length)}.`))
        .catch(() => fail(new Error('The browser blocked the copy. Click the page and try again.'))),
  };
}
