/** A whole number from 1 of an address; null: there is none. */
export const wholeIn = (value: string | null, most = 2_147_483_647): number | null => {
  const number = Number(value);
  return Number.isInteger(number) && number >= 1 && number <= most ? number : null;
};
