import { stagedValues } from '../../../contract/changeSchemas';
import { editValues } from '../../../server/changes/editStaged';
import { endpoint } from '../../../server/http/endpoint';

export const POST = endpoint({
  may: 'decide',
  body: stagedValues,
  owned: ({ body: { account, values } }) => ({ account, change: values.map(({ id }) => id) }),
  run: async ({ body: { account, values }, caller }) => {
    await editValues(caller, account, values);
    return { ids: values.map(({ id }) => id) };
  },
});
