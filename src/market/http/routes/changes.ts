import type { MarketChange } from '../../../contract/market';
import { applyBatch } from '../../store/changes/apply';
import { findMarketAccount } from '../../store/entities';
import { suggestBids, suggestFor } from '../../store/suggestions';
import type { SuggestQuestion } from '../../store/suggestions';
import { worldOf } from '../../store/worlds';
import { refuse } from '../market';
import type { AccountRequest, Market } from '../market';
import { batchSchema, suggestSchema } from '../schemas';

type BatchRequest = AccountRequest & { Body: { changes: MarketChange[] } };
type SuggestRequest = AccountRequest & { Body: { targets: SuggestQuestion[] } };
type SuggestTargetsRequest = AccountRequest & {
  Querystring: { adGroup?: string; product?: string; limit?: string };
};

/** Batches of changes, and what the market suggests. */
export function addChanges({ server, sql, faults, known }: Market): void {
  server.post<BatchRequest>(
    '/accounts/:account/changes',
    { schema: { body: batchSchema } },
    async (request, reply) => {
      const key = request.headers['idempotency-key'];
      if (typeof key !== 'string' || key === '')
        return refuse(reply, 400, 'no-key', 'Send an Idempotency-Key with every batch.');
      const failAfter = faults.take('fail-mid-batch')
        ? Math.floor(request.body.changes.length / 2)
        : undefined;
      const answers = await applyBatch(sql, request.params.account, key, request.body.changes, failAfter);
      if (faults.take('drop-after-commit')) request.raw.socket.destroy();
      return { answers };
    },
  );

  const worldOfAccount = async (account: string) =>
    worldOf(known.get((await findMarketAccount(sql, account))!.scenario)!);

  server.post<SuggestRequest>(
    '/accounts/:account/suggestions/bids',
    { schema: { body: suggestSchema } },
    async (request) => {
      const { account } = request.params;
      return {
        suggestions: await suggestBids(sql, account, await worldOfAccount(account), request.body.targets),
      };
    },
  );

  server.get<SuggestTargetsRequest>('/accounts/:account/suggestions/targets', async (request) => {
    const { account } = request.params;
    const { adGroup, product, limit = '50' } = request.query;
    return {
      suggestions: await suggestFor(
        sql,
        account,
        await worldOfAccount(account),
        { adGroupId: adGroup, productId: product },
        Math.min(200, Number(limit)),
      ),
    };
  });
}
