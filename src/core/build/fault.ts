/** Something about a plan. */
export interface PlanFault {
  /** Where the plan says it: "terms.3", "budgets.exact 2", "parts.own". */
  at: string;
  /** wrong: nothing is made before it is mended; told: may be meant so. */
  weight: 'wrong' | 'told';
  sentence: string;
  /** How its text can be written instead; missing where that is not known. */
  mended?: string;
}

export const wrong = (at: string, sentence: string, mended?: string): PlanFault => ({
  at,
  weight: 'wrong',
  sentence,
  ...(mended !== undefined && { mended }),
});
export const told = (at: string, sentence: string): PlanFault => ({ at, weight: 'told', sentence });
