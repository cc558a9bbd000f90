import { accountQuery } from '../../contract/schemas';
import { loadStructure } from '../../server/field/loadStructure';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadStructure(readQuery<{ account: number }>(context, accountQuery).account),
);
