import type { UndoRequest } from '../../../contract/api';
import { undoRequest } from '../../../contract/schemas';
import { undoChanges } from '../../../server/changes/undoChanges';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) =>
  undoChanges(await readBody<UndoRequest>(context, undoRequest)),
);
