import { newReport } from '../../../contract/reportSchemas';
import { accountQuery, removalQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { keepReport, loadReports, removeReport } from '../../../server/reports/keptReports';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadReports(account),
});

/** Makes a report and keeps it. */
export const POST = endpoint({
  may: 'decide',
  body: newReport,
  status: 201,
  run: ({ body, caller }) => keepReport(caller, body),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => removeReport(caller, account, id),
});
