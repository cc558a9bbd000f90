import { undoRequest } from '../../../contract/changeSchemas';
import { undoChanges } from '../../../server/changes/undoChanges';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'decide',
  body: undoRequest,
  owned: ({ body: { account, ids } }) => ({ account, change: ids }),
  run: ({ body, caller }) => undoChanges(caller, body),
});
