import { trailQuery } from '../../contract/peopleSchemas';
import { endpoint } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';
import { noteExport } from '../../server/trail';
import { loadTrail, trailFile } from '../../server/audit/loadTrail';

/** Who did what, newest first. */
export const GET = endpoint({
  may: 'see',
  query: trailQuery,
  run: async ({ query: { account, format, find, before }, caller }) => {
    if (format === undefined) return loadTrail(account, { find, before });
    const file = await trailFile(account, find, format);
    await noteExport(caller, account, { what: 'trail', format, find });
    return streamResponse(file);
  },
});
