// What is said in several places, said once.

export const NO_ACOS = 'No sales, so no ACOS';
export const NO_TERMS = 'There are no search terms yet.';
export const FOCUS_A_ROW = 'Focus a row to see its evidence.';
export const GRADE_MEANS = 'How sure the estimate is: one bar thin, two fair, three strong';
export const NOTHING_CHANGES = 'Nothing would change';
export const WHOLE_ACCOUNT = 'Show the whole account';
export const SALES_TO_GAIN = 'sales to gain a month';
export const BRING_TERMS = 'Sync the account, or import a search-term report';
export const FIRST_AFTER_LAST = 'The first day is after the last.';
export const ADDING_HOURS = 'Adding up the hours …';
export const NO_HOURS = 'No hours are known yet.';
export const HOURS_FROM =
  'Hours are told from the report by campaign and hour, a whole settled week of it at least.';
export const TRY_BY_WEEKS = 'Try by weeks …';
