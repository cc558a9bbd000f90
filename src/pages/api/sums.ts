import { sumsQuery } from '../../contract/schemas';
import { endpoint, readQuery } from '../../server/http/endpoint';
import { loadSums } from '../../server/sums/loadSums';
import type { SumsRequest } from '../../server/sums/loadSums';

export const GET = endpoint(async (context) => loadSums(readQuery<SumsRequest>(context, sumsQuery)));
