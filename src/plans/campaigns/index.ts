export { arrangeCampaigns } from './arrangeCampaigns';
export type { ArrangedCampaigns, CampaignRowsAsked } from './types';
export { planned } from './planned';
