import { stagedValues } from '../../../contract/changeSchemas';
import { editValues } from '../../../server/changes/editStaged';
import type { StagedValue } from '../../../server/changes/editStaged';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, values } = await readBody<{ account: number; values: StagedValue[] }>(
    context,
    stagedValues,
  );
  await editValues(account, values);
  return { ids: values.map(({ id }) => id) };
});
