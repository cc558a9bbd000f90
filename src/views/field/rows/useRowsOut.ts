import { useSnackbar } from 'notistack';
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
  const { enqueueSnackbar } = useSnackbar();
  const out = (rows: ArrayLike<number>) => outOfTable(table, reader, columns, rows, account.currency);
  const fail = (error: Error) => enqueueSnackbar(error.message, { variant: 'error', autoHideDuration: 9000 });
  return {
    save: (format: 'csv' | 'xlsx', rows: ArrayLike<number>) =>
      void saveTable(format, {
        name: `${account.name} ${countWords(table.lens, 2).slice(2)}`,
        ...out(rows),
      }).catch(fail),
    copy: (rows: ArrayLike<number>) =>
      void navigator.clipboard
        .writeText(asTabText(out(rows)))
        .then(() =>
          enqueueSnackbar(`Copied ${countWords(table.lens, rows.length)}.`, { autoHideDuration: 3000 }),
        )
        .catch(() =>
          fail(new Error('The browser did not allow the copy. Click into the page and try again.')),
        ),
  };
}
