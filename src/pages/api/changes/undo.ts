import type { UndoRequest } from '../../../contract/changes';
import { undoRequest } from '../../../contract/changeSchemas';
import { undoChanges } from '../../../server/changes/undoChanges';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) =>
  undoChanges(await readBody<UndoRequest>(context, undoRequest)),
);
