/** What the part of the ledger is called that tells which sorts of change worked. */
export const WORKED_TITLE = 'Which changes worked';
