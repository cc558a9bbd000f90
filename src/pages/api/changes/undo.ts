import { undoRequest } from '../../../contract/changeSchemas';
import { undoChanges } from '../../../server/changes/undoChanges';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'decide',
  body: undoRequest,
  run: ({ body, caller }) => undoChanges(caller, body),
});
