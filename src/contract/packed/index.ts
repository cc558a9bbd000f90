export { asJson, pack, PACKED_TYPE, unpack } from './packed';
export { columnOf } from './printed';
