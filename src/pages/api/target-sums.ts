import { targetSumsQuery } from '../../contract/schemas';
import { loadTargetSums } from '../../server/field/loadTargetSums';
import type { TargetSumsRequest } from '../../server/field/loadTargetSums';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadTargetSums(readQuery<TargetSumsRequest>(context, targetSumsQuery)),
);
