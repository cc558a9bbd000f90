export { useCampaignLens } from './useCampaignLens';
export { inOrder, useCampaignDecisions } from './useCampaignDecisions';
export { asideWords } from './asideWords';
export { CAMPAIGN_FIELDS } from './campaignFields';
export { decideColumn } from './decideColumn';
