import { keepPicture } from '../../store/pictures';
import { refuse } from '../market';
import type { AccountRequest, Market } from '../market';
import { pictureSchema } from '../schemas';

/** Pictures that ads can show. */
export function addPictures({ server, sql }: Market): void {
  server.post<AccountRequest & { Body: { bytes: string } }>(
    '/accounts/:account/pictures',
    { schema: { body: pictureSchema } },
    async (request, reply) => {
      const kept = await keepPicture(sql, request.params.account, Buffer.from(request.body.bytes, 'base64'));
      return typeof kept === 'string' ? { id: kept } : refuse(reply, 422, kept.code, kept.sentence);
    },
  );
}
