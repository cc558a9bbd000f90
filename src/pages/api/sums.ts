import { sumsQuery } from '../../contract/schemas';
import type { Named } from '../../server/accounts/owned';
import { endpoint } from '../../server/http/endpoint';
import { loadSums } from '../../server/sums/loadSums';

export const GET = endpoint({
  may: 'see',
  query: sumsQuery,
  owned: ({ query: { account, scope } }) => ({ account, ...scopeOf(scope) }),
  run: ({ query }) => loadSums(query),
});

function scopeOf(scope: string | undefined): Named {
  const [kind, id] = (scope ?? '').split(':');
  return id === undefined ? {} : { [kind.replace('-', ' ')]: [Number(id)] };
}
