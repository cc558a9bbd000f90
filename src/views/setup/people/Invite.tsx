import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { ROLES } from '../../../contract/people';
import type { OneTimeLink, Role } from '../../../contract/people';
import { api } from '../../shared/api';
import { Choice, Field } from '../../shared/kit';
import { isWholePerson, NO_PERSON, PersonFields } from '../../shared/people/PersonFields';
import type { NewPerson } from '../../shared/people/PersonFields';
import { useTell } from '../../shared/useTell';
import { usePeopleAct } from './usePeople';

/** Lets somebody in to an account. */
export function Invite({
  account,
  onLink,
}: {
  account: AccountInfo;
  onLink: (made: { name: string; link: OneTimeLink }) => void;
}) {
  const tell = useTell();
  const [person, setPerson] = useState(NO_PERSON);
  const [role, setRole] = useState<Role>('decides');
  const invite = usePeopleAct(
    (asked: NewPerson & { role: Role }) => api.invite(account.id, asked),
    ({ link }, asked) => {
      if (link) onLink({ name: asked.name, link });
      else tell(`${asked.email} was let in before, and sees ${account.name} too now`);
      setPerson(NO_PERSON);
    },
  );
  const isWhole = isWholePerson(person);
  return (
    <form
      aria-label="Let somebody in"
      className="framed"
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole && !invite.isPending) invite.mutate({ ...person, role });
      }}
    >
      <div className="fields">
        <PersonFields person={person} onPerson={setPerson} />
        <Field label="Role">
          <Choice label="Role" value={role} onChange={(next) => setRole(next as Role)}>
            {ROLES}
          </Choice>
        </Field>
        <Field label=" ">
          <Button type="submit" variant="outlined" disabled={!isWhole || invite.isPending}>
            Let in
          </Button>
        </Field>
      </div>
    </form>
  );
}
