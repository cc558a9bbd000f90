export { VirtualTable } from './VirtualTable';
export type { Column, Sort } from './column';
export { Grip } from './Grip';
export { useColumns } from './useColumns';
export type { ColumnsState, ColumnState } from './useColumns';
export { hoveredRow } from './hovered';
export type { Hovered } from './hovered';
