import { homeRequest } from '../../../contract/wordSchemas';
import type { HomeRequest } from '../../../contract/routes';
import { endpoint, readBody } from '../../../server/http/endpoint';
import { makeHome } from '../../../server/routes/makeHome';

export const POST = endpoint(async (context) => makeHome(await readBody<HomeRequest>(context, homeRequest)));
