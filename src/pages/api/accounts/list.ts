import { loadAccountList } from '../../../server/accounts/accountList';
import { endpoint } from '../../../server/http/endpoint';

/** The accounts that somebody may see, each with how it stands. */
export const GET = endpoint({
  may: 'see',
  run: ({ visitor }) => loadAccountList(visitor!.rightsOn),
});
