import { trailQuery } from '../../contract/peopleSchemas';
import { endpoint } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';
import { loadTrail, trailFile } from '../../server/audit/loadTrail';

/** Who did what, newest first. */
export const GET = endpoint({
  may: 'see',
  query: trailQuery,
  run: async ({ query: { account, format, find, before } }) =>
    format === undefined
      ? loadTrail(account, { find, before })
      : streamResponse(await trailFile(account, find, format)),
});
