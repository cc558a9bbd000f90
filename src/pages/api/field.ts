import { fieldQuery } from '../../contract/schemas';
import { loadFieldSums } from '../../server/field/loadFieldSums';
import type { FieldSumsRequest } from '../../server/field/loadFieldSums';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const text = await loadFieldSums(readQuery<FieldSumsRequest>(context, fieldQuery));
  return new Response(text, { headers: { 'content-type': 'application/json' } });
});
