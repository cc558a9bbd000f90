import { linkRequest } from '../../../contract/reportSchemas';
import { removalQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { makeLink, takeLinkBack } from '../../../server/reports/links';

/** Makes a link that shows a report to somebody without an account. */
export const POST = endpoint({
  may: 'decide',
  body: linkRequest,
  status: 201,
  run: ({ body: { account, report, until }, caller }) => makeLink(caller, account, report, until),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => takeLinkBack(caller, account, id),
});
