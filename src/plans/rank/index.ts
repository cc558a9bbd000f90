export type { RankFrom } from './types';
export { workOutRank } from './workOutRank';
