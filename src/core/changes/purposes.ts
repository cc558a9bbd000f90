/** What changes are for, as they are told apart when it is asked which of them worked, in words. */
export const CHANGE_PURPOSES = {
  dead: 'Dead spend: bids down or paused',
  over: 'Overpaying: bids down',
  grow: 'Room to grow: bids up',
  test: 'Testing: bids up on what is not proven',
  harvest: 'Harvest: new keywords and targets',
  negatives: 'Negatives',
  down: 'Bids down by hand',
  up: 'Bids up by hand',
  state: 'Paused or resumed by hand',
  budget: 'Budgets',
  modifier: 'Placement modifiers',
  schedule: 'Schedules by hour',
  made: 'Campaigns and ad groups made',
  other: 'Ended, lifted and undone',
} as const;
export type ChangePurpose = keyof typeof CHANGE_PURPOSES;
