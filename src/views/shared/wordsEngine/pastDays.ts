/** Days that count as past when it is told what a negative would have blocked. */
export const PAST_DAYS = 90;
