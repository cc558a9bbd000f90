import type { ShopSettings } from '../../sim';
import { findMarketAccount } from '../../store/entities';
import { setInShop } from '../../store/shop';
import { worldOf } from '../../store/worlds';
import { refuse } from '../market';
import type { AccountRequest, Market } from '../market';
import { shopSchema } from '../schemas';

type ShopRequest = { Params: AccountRequest['Params'] & { id: string }; Body: ShopSettings[string] };

/** What a seller does in the shop itself: another price, more stock. */
export function addShop({ server, sql, known }: Market): void {
  server.post<ShopRequest>(
    '/accounts/:account/products/:id',
    { schema: { body: shopSchema } },
    async (request, reply) => {
      const { account, id } = request.params;
      const { scenario } = (await findMarketAccount(sql, account))!;
      const isThere = await setInShop(sql, account, worldOf(known.get(scenario)!), id, request.body);
      return isThere ? { id } : refuse(reply, 404, 'no-such-product', `There is no product ${id}.`);
    },
  );
}
