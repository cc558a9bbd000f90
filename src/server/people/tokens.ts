import { MowingError } from '../../contract/mowingError';
import type { Role } from '../../contract/people';
import { endToken, insertToken } from '../../db/queries/apiTokens';
import { recorded } from '../trail';
import type { Caller } from '../trail';
import { needSelf } from './ownSignIn';
import { hashOf, newSecret } from './secrets';
import { TOKEN_START } from './visitor';
import type { Visitor } from './visitor';

/** Makes a key for scripts. @returns the key: it is shown once and kept nowhere */
export async function makeToken(
  caller: Caller,
  visitor: Visitor,
  accountId: number,
  { name, role, endsOn }: { name: string; role: Role; endsOn: string },
): Promise<{ id: number; key: string }> {
  const { id: madeBy } = needSelf(visitor);
  const key = TOKEN_START + newSecret();
  return recorded(caller, accountId, async (tx, note) => {
    const id = await insertToken(tx, {
      hash: hashOf(key),
      name,
      madeBy,
      role,
      accountIds: [accountId],
      endsOn,
    });
    note({ what: 'make token', subject: name, to: { role, endsOn } });
    return { id, key };
  });
}

/** Ends a key for scripts at once. */
export async function stopToken(caller: Caller, accountId: number, id: number): Promise<{ ended: true }> {
  return recorded(caller, accountId, async (tx, note) => {
    const name = await endToken(tx, accountId, id);
    if (name === undefined)
      throw new MowingError('not-found', 'The account has no such token any more. Load the page again.');
    note({ what: 'end token', subject: name });
    return { ended: true };
  });
}
