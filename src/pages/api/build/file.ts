import { planFileQuery } from '../../../contract/buildSchemas';
import { accountQuery } from '../../../contract/schemas';
import { planFile, takePlanFile } from '../../../server/build/planFile';
import { bodyOf } from '../../../server/http/bodyOf';
import { endpoint } from '../../../server/http/endpoint';
import { streamResponse } from '../../../server/http/streamResponse';
import { noteExport } from '../../../server/trail';

export const GET = endpoint({
  may: 'see',
  query: planFileQuery,
  run: async ({ query: { account, id, format }, caller }) => {
    const file = await planFile(account, id, format);
    await noteExport(caller, account, { what: `plan ${id}`, format });
    return streamResponse(file);
  },
});

/** Takes a plan's file in as a plan of its own. */
export const POST = endpoint({
  may: 'decide',
  query: accountQuery,
  run: ({ query: { account }, caller, request }) => takePlanFile(caller, account, bodyOf(request)),
});
