/** Days whose terms are looked at by their words: what counts as past when it is told what a negative would have blocked. */
export const WORDS_DAYS = 90;
