import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { ROLES, ROLE_WORDS } from '../../../contract/people';
import type { OneTimeLink, PersonInfo, Role } from '../../../contract/people';
import { api } from '../../shared/api';
import { formatTime } from '../../shared/formatTime';
import { Ask, Choice, Facts } from '../../shared/kit';
import { Invite } from './Invite';
import { ShownOnce } from './ShownOnce';
import { usePeopleAct } from './usePeople';

interface PeopleListProps {
  account: AccountInfo;
  /** Whoever looks. */
  me: number;
  people: PersonInfo[];
}

const MAILED: Record<OneTimeLink['mail'], string> = {
  sent: 'It was mailed as well.',
  failed: 'Mailing it failed, and the log tells why: hand it over yourself.',
  off: '',
};

/** Who sees an account, and as what. */
export function PeopleList({ account, me, people }: PeopleListProps) {
  const [link, setLink] = useState<{ name: string; link: OneTimeLink } | null>(null);
  const [leaving, setLeaving] = useState<PersonInfo | null>(null);
  const setRole = usePeopleAct(({ id, role }: { id: number; role: Role | null }) =>
    api.setRole(account.id, id, role),
  );
  const newLink = usePeopleAct(
    ({ id }: PersonInfo) => api.newLink(account.id, id),
    (made, { name }) => setLink({ name, link: made }),
  );
  return (
    <>
      <Facts aria-label="People" sx={{ maxWidth: 900 }}>
        <TableHead>
          <TableRow>
            <TableCell>Name</TableCell>
            <TableCell>E-mail</TableCell>
            <TableCell sx={{ width: 130 }}>Role</TableCell>
            <TableCell>Last here</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {people.map((person) => (
            <TableRow key={person.id}>
              <TableCell>
                {person.name} {person.id === me && <span className="faint">· you</span>}
              </TableCell>
              <TableCell className="faint">{person.email}</TableCell>
              <TableCell>
                {person.ownsAll ? (
                  <span className="faint" title="Owns every account, those to come too">
                    owns everything
                  </span>
                ) : (
                  <Choice
                    label={`Role of ${person.name}`}
                    value={person.role}
                    onChange={(role) => setRole.mutate({ id: person.id, role: role as Role })}
                  >
                    {ROLES}
                  </Choice>
                )}
              </TableCell>
              <TableCell className="faint">
                {person.seenAt !== null
                  ? formatTime(person.seenAt)
                  : person.isIn
                    ? 'not for a while'
                    : 'invited, not in yet'}
              </TableCell>
              <TableCell className="figure">
                {!person.ownsAll && (
                  <span className="bar">
                    <Button variant="link" onClick={() => newLink.mutate(person)}>
                      New link
                    </Button>
                    <Button variant="link" onClick={() => setLeaving(person)}>
                      Take out
                    </Button>
                  </span>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
      <p className="note">
        {ROLES.map((role) => (
          <span key={role}>
            <b>{role}</b> {ROLE_WORDS[role]}.{' '}
          </span>
        ))}
      </p>
      <Invite account={account} onLink={setLink} />
      {leaving && (
        <Ask
          title={`Take ${leaving.name} out?`}
          does="Take out"
          onDone={(isWanted) => {
            if (isWanted) setRole.mutate({ id: leaving.id, role: null });
            setLeaving(null);
          }}
        >
          {leaving.name} does not see {account.name} from now on. What was staged and sent stays, with the
          name in the trail. Who has no account left is signed out everywhere.
        </Ask>
      )}
      {link && (
        <ShownOnce
          title={`A link for ${link.name}`}
          secret={location.origin + link.link.path}
          onClose={() => setLink(null)}
        >
          With it {link.name} chooses a password, once, until {formatTime(link.link.until)}. It is not shown
          again: give it to nobody else. {MAILED[link.link.mail]}
        </ShownOnce>
      )}
    </>
  );
}
