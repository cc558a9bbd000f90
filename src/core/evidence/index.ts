export { gammaCdf, gammaQuantile, lnGamma } from './gamma';
export {
  chanceToReach,
  estimateConversion,
  EVIDENCE_GRADES,
  meanWhereReached,
  neededConversion,
  PRIOR_ORDERS,
} from './conversion';
export type { ConversionEstimate, ConversionPrior, EvidenceGrade } from './conversion';
export { fitStrength } from './fitStrength';
export { usualInAccount, usualInCampaign } from './usual';
export type { Usual } from './usual';
export { estimateValuePerClick, orderValueOf } from './valuePerClick';
export type { ValuePerClick } from './valuePerClick';
export { quantileOf, steadyChance } from './chance';
