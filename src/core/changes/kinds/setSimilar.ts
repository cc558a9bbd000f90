import { SIMILAR } from './campaignFields';
import { setsOption } from './campaignOption';

/** Says whether a campaign also stands in searches for similar categories, where a market lets that be chosen. */
export const setSimilar = setsOption('set-similar', 'similar', 'Similar categories', SIMILAR);
