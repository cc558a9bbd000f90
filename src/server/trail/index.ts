export { MOWING, RIGHTS, THIS_MACHINE } from './caller';
export type { Caller, Right } from './caller';
export { recorded } from './recorded';
export type { Note, TrailEntry } from './recorded';
