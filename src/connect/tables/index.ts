export { readTable } from './readTable';
export type { ReadTable, TableRow } from './readTable';
export { TABLE_SPECS } from './tableSpec';
export type { TableSpec } from './tableSpec';
