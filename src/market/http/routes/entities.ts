import type { EntityKind } from '../../../contract/market';
import { findMarketAccount, listEntities } from '../../store/entities';
import { ENTITY_KINDS } from '../../store/tables';
import { refuse } from '../market';
import type { Market } from '../market';

type EntityRequest = {
  Params: { account: string; kind: string };
  Querystring: { after?: string; since?: string; limit?: string };
};

/** What an account is made of, by kind and page, and what changed of it. */
export function addEntities({ server, sql }: Market): void {
  server.get<EntityRequest>('/accounts/:account/entities/:kind', async (request, reply) => {
    const { account, kind } = request.params;
    if (!ENTITY_KINDS.includes(kind as EntityKind))
      return refuse(reply, 404, 'no-such-kind', `There are no ${kind}.`);
    const { after = '', since = '0', limit = '1000' } = request.query;
    const size = Math.min(5000, Math.max(1, Number(limit)));
    const { changes } = (await findMarketAccount(sql, account))!;
    const items = await listEntities(sql, account, kind as EntityKind, {
      after,
      since: Number(since),
      limit: size,
    });
    // What changes from now on has a higher number than `cursor`.
    return { items, next: items.length === size ? items[items.length - 1].id : null, cursor: changes + 1 };
  });
}
