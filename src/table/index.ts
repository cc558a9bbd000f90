export { VirtualTable } from './VirtualTable';
export type { Column, Sort } from './column';
export { useColumns } from './useColumns';
export type { ColumnsState, ColumnState } from './useColumns';
