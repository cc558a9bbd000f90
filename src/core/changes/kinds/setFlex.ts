import { FLEXES } from './campaignFields';
import { setsOption } from './campaignOption';

/** Says whether the market may move a campaign’s bids by itself: never, down only, or both ways. */
export const setFlex = setsOption('set-flex', 'flex', 'Bid flex', FLEXES);
