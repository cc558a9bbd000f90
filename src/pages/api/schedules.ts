import { namedWeekRemoval, namedWeekRequest, followRequest } from '../../contract/schedulesSchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadSchedules } from '../../server/hours/loadSchedules';
import { dropWeek, follow, keepWeek } from '../../server/hours/schedules';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadSchedules(account),
});

/** Keeps a week by a name. */
export const PUT = endpoint({
  may: 'decide',
  body: namedWeekRequest,
  run: async ({ body: { account, was, ...next }, caller }) => {
    await keepWeek(caller, account, next, was);
    return { kept: true };
  },
});

export const DELETE = endpoint({
  may: 'decide',
  body: namedWeekRemoval,
  run: async ({ body: { account, name }, caller }) => {
    await dropWeek(caller, account, name);
    return { removed: true };
  },
});

/** Stages what puts campaigns on a week, or ends their schedules. */
export const POST = endpoint({
  may: 'decide',
  body: followRequest,
  status: 201,
  owned: ({ body: { account, campaigns } }) => ({ account, campaign: campaigns }),
  run: ({ body, caller }) => follow(caller, body),
});
