import { PACINGS } from './campaignFields';
import { setsOption } from './campaignOption';

/** Has a campaign spend its day’s money evenly, or as soon as it can. */
export const setPacing = setsOption('set-pacing', 'pacing', 'Pacing', PACINGS);
