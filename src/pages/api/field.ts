import { fieldQuery } from '../../contract/schemas';
import { loadFieldSums } from '../../server/field/loadFieldSums';
import type { FieldSumsRequest } from '../../server/field/loadFieldSums';
import { endpoint, jsonText, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  return jsonText(await loadFieldSums(readQuery<FieldSumsRequest>(context, fieldQuery)));
});
