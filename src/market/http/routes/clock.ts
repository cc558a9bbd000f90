import { addDays } from '../../../core/units';
import { findMarketAccount, payIn } from '../../store/entities';
import { advance } from '../../store/play';
import { refuse } from '../market';
import type { AccountRequest, Market, Passing } from '../market';
import { advanceSchema, fundsSchema } from '../schemas';

type AdvanceRequest = AccountRequest & { Body: { days: number } };

/** The market’s days pass when they are told to; prepaid money is paid in. */
export function addClock({ server, sql, known }: Market): void {
  const passing = new Map<string, Passing>();
  server.get<AccountRequest>('/accounts/:account/clock', async (request) => {
    const { today } = (await findMarketAccount(sql, request.params.account))!;
    return { today, passing: passing.get(request.params.account) ?? null };
  });

  server.post<AccountRequest & { Body: { amount: number } }>(
    '/accounts/:account/funds',
    { schema: { body: fundsSchema } },
    async (request, reply) => {
      const funds = await payIn(sql, request.params.account, request.body.amount);
      return funds === null
        ? refuse(reply, 409, 'not-prepaid', 'This account is billed afterwards.')
        : { funds };
    },
  );

  server.post<AdvanceRequest>(
    '/accounts/:account/advance',
    { schema: { body: advanceSchema } },
    async (request, reply) => {
      const { account } = request.params;
      const { scenario, today } = (await findMarketAccount(sql, account))!;
      const now = passing.get(account);
      if (now && now.trouble === '' && now.done < now.of)
        return refuse(reply, 409, 'passing-already', `Days are passing already: ${now.done} of ${now.of}.`);
      const { days } = request.body;
      const state: Passing = { done: 0, of: days, trouble: '' };
      passing.set(account, state);
      advance(sql, known.get(scenario)!, account, days, (done) => (state.done = done)).catch(
        (error: Error) => {
          state.trouble = error.message;
          server.log.error(error);
        },
      );
      return reply.code(202).send({ today, until: addDays(today, days), passing: state });
    },
  );
}
