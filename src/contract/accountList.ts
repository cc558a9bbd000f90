/** An account beside others: how it stands, and what is in want there. Money in micros of its currency. */
export interface AccountLine {
  id: number;
  name: string;
  currency: string;
  targetAcos: number;
  /** The settled window that its figures are of; null without figures. */
  window: { from: string; to: string } | null;
  spend: number;
  sales: number;
  /** Spend of the month: what it comes to, and the goal; null where nothing is to be said of it. */
  month: { forecast: number | null; goal: number | null } | null;
  /** Staged changes that wait to be sent. */
  staged: number;
  lastDay: string | null;
  /** When figures last came in, from the market or a file; null: never. */
  broughtAt: string | null;
  /** What somebody has to see to, in sentences. */
  trouble: string[];
}
