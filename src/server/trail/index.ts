export { MOWING, THIS_MACHINE } from './caller';
export type { Caller } from './caller';
export { noteExport } from './noteExport';
export { recorded } from './recorded';
export type { Note, TrailEntry } from './recorded';
