import { choicesRequest } from '../../contract/planSchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { changeChoices, loadChoices, takeBackChoices } from '../../server/plans/choices';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadChoices(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: choicesRequest,
  run: ({ body, caller }) => changeChoices(caller, body),
});

/** Takes the last change back. */
export const DELETE = endpoint({
  may: 'decide',
  query: accountQuery,
  run: ({ query: { account }, caller }) => takeBackChoices(caller, account),
});
