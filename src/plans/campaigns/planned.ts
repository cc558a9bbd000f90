/** What is planned for a campaign. @throws where the plan is older than the campaign: asked again, it is not */
export function planned<T>(found: T | undefined): T {
  if (found === undefined) throw new Error('The account’s campaigns changed meanwhile. Try again.');
  return found;
}
