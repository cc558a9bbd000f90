import { ruleQuery } from '../../../contract/ruleSchemas';
import { loadRuleEffect } from '../../../server/effects/loadEffects';
import { endpoint } from '../../../server/http/endpoint';

/** What the changes of a rule did together so far. */
export const GET = endpoint({
  may: 'see',
  query: ruleQuery,
  owned: ({ query: { account, id } }) => ({ account, rule: [id] }),
  run: ({ query: { account, id } }) => loadRuleEffect(account, id),
});
