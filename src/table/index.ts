export { VirtualTable } from './VirtualTable';
export type { Column } from './VirtualTable';
