import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { ROLES } from '../../../contract/people';
import type { OneTimeLink, Role } from '../../../contract/people';
import { api } from '../../shared/api';
import { Choice, Field, TextBox } from '../../shared/kit';
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
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('decides');
  const invite = usePeopleAct(
    (person: { name: string; email: string; role: Role }) => api.invite(account.id, person),
    ({ link }, person) => {
      if (link) onLink({ name: person.name, link });
      else tell(`${person.email} was let in before, and sees ${account.name} too now`);
      setName('');
      setEmail('');
    },
  );
  const isWhole = name.trim() !== '' && email.includes('@');
  return (
    <form
      aria-label="Let somebody in"
      className="framed"
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole && !invite.isPending) invite.mutate({ name: name.trim(), email: email.trim(), role });
      }}
    >
      <div className="fields">
        <Field label="Name">
          <TextBox
            aria-label="Name"
            maxLength={80}
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        </Field>
        <Field label="E-mail">
          <TextBox
            aria-label="E-mail"
            letters={28}
            maxLength={200}
            value={email}
            onChange={({ target }) => setEmail(target.value)}
          />
        </Field>
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
