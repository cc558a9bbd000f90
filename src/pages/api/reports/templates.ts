import { templateRequest } from '../../../contract/reportSchemas';
import { removalQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { putTemplate, removeTemplate } from '../../../server/reports/templates';

export const PUT = endpoint({
  may: 'decide',
  body: templateRequest,
  run: ({ body: { account, ...template }, caller }) => putTemplate(caller, account, template),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  run: ({ query: { account, id }, caller }) => removeTemplate(caller, account, id),
});
