import { yearQuery } from '../../contract/moneySchemas';
import { endpoint } from '../../server/http/endpoint';
import { loadYear } from '../../server/money/loadMoney';

export const GET = endpoint({
  may: 'see',
  query: yearQuery,
  run: ({ query: { account, year } }) => loadYear(account, year),
});
