export { asJson, pack, PACKED_TYPE, unpack } from './packed';
export type { AsJson } from './packed';
export { columnOf } from './printed';
