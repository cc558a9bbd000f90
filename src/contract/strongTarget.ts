// Giving a target a campaign of its own. Money in micros.

export interface OwnCampaignRequest {
  account: number;
  targetId: number;
  /** Of the new campaign. */
  name: string;
  budget: number;
  /** Daily budget of the old campaign from then on. */
  leaves: number;
}

export interface OwnCampaignAnswer {
  campaignId: number;
  /** Changes that were staged, in order. */
  ids: number[];
}
