import { readWeek, weekWords } from '../../schedules';

/** Puts a campaign's bids on a schedule by hour of the week. */
export interface AddSchedule {
  kind: 'add-schedule';
  campaignId: number;
  name: string;
  /** As core/schedules writes a week. */
  week: string;
}

/** Takes a campaign off its schedule; what it was is kept to put it back. */
export interface EndSchedule extends Omit<AddSchedule, 'kind'> {
  kind: 'end-schedule';
  scheduleId: number;
}

/** What a week does, in words; as it stands where it is none. */
export const wordsOfWeek = (text: string): string => {
  const week = readWeek(text);
  return week ? weekWords(week) : `“${text.slice(0, 40)}”`;
};
