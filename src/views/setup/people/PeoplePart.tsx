import { useQuery } from '@tanstack/react-query';
import type { AccountInfo } from '../../../contract/api';
import { api } from '../../shared/api';
import { Fault } from '../../shared/kit';
import { useMe } from '../../shared/people/useMe';
import { PartHead } from '../PartHead';
import { Codes } from './Codes';
import { DoorLog } from './DoorLog';
import { FirstOwner } from './FirstOwner';
import { PeopleList } from './PeopleList';
import { TokenList } from './TokenList';
import { OwnSignIn } from './OwnSignIn';
import { Passkeys } from './Passkeys';

/** Who comes in, and what they may do on this account. */
export function PeoplePart({ account }: { account: AccountInfo }) {
  const me = useMe();
  const owns = account.rights.includes('own');
  const { data, error } = useQuery({
    queryKey: ['people', account.id],
    queryFn: () => api.people(account.id),
    enabled: owns && me !== undefined && me !== null,
  });
  if (me === undefined) return null;
  if (me === null) return <FirstOwner />;
  return (
    <>
      <PartHead title="People">
        What somebody may do is set for each account. Who has no role on an account does not see that it is
        there.
      </PartHead>
      <Fault error={error} />
      {data && <PeopleList account={account} me={me.id} people={data.people} />}
      {!owns && <p className="faint">Who else sees {account.name} is told to its owners.</p>}
      <OwnSignIn me={me} />
      <Codes />
      <Passkeys />
      {data && <TokenList account={account} tokens={data.tokens} />}
      {data && data.log.length > 0 && <DoorLog lines={data.log} />}
    </>
  );
}
