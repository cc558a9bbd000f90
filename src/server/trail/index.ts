export { MOWING, THIS_MACHINE } from './caller';
export type { Caller } from './caller';
export { recorded } from './recorded';
export type { Note, TrailEntry } from './recorded';
