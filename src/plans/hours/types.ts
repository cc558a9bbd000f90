import type { CampaignRowsAsked } from '../campaigns';

/** Which rows of the step of hours are asked for. */
export interface HoursAsked extends CampaignRowsAsked {
  /** Campaigns for which something is proposed, with the sales of a month that it is to win, micros. */
  stakes: [campaignId: number, money: number][];
}
