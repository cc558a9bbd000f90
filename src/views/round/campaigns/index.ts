export { useCampaignLens } from './useCampaignLens';
export { inOrder, useCampaignDecisions } from './useCampaignDecisions';
export { asideWords } from './asideWords';
