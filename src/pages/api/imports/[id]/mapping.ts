import { accountQuery, headingChoice, idPath } from '../../../../contract/schemas';
import { endpoint } from '../../../../server/http/endpoint';
import { chooseHeadings } from '../../../../server/imports/answer';

export const PUT = endpoint({
  may: 'set up',
  path: idPath,
  query: accountQuery,
  body: headingChoice,
  run: async ({ path: { id }, query: { account }, body: { matched }, caller }) => {
    await chooseHeadings(caller, account, id, matched);
    return { kept: true };
  },
});
