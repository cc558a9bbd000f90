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
