import Table from '@mui/material/Table';
import type { TableProps } from '@mui/material/Table';

/** Rows of facts: a small table that stands in the text. Long lists have the virtual table. */
export function Facts(props: TableProps) {
  return <Table {...props} className={`facts ${props.className ?? ''}`} />;
}
