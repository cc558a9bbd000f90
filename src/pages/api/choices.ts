import type { ChoicesRequest } from '../../contract/choices';
import { choicesRequest } from '../../contract/planSchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { changeChoices, loadChoices, takeBackChoices } from '../../server/plans/choices';

export const GET = endpoint(async (context) =>
  loadChoices(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) =>
  changeChoices(await readBody<ChoicesRequest>(context, choicesRequest)),
);

/** Takes the last change back. */
export const DELETE = endpoint(async (context) =>
  takeBackChoices(readQuery<{ account: number }>(context, accountQuery).account),
);
