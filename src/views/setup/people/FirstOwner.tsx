import Button from '@mui/material/Button';
import { useState } from 'react';
import { api } from '../../shared/api';
import { Fault } from '../../shared/kit';
import { isWholePerson, NO_PERSON, PersonFields } from '../../shared/people/PersonFields';
import { PasswordFields } from '../../shared/people/PasswordFields';
import { PartHead } from '../PartHead';

/** Nobody signs in yet: makes whoever is here the first owner. */
export function FirstOwner() {
  const [person, setPerson] = useState(NO_PERSON);
  const [password, setPassword] = useState<string | null>(null);
  const [isMaking, setMaking] = useState(false);
  const [error, setError] = useState<Error | null>(null);
  const make = async () => {
    setMaking(true);
    setError(null);
    try {
      await api.firstOwner({ ...person, password: password! });
      location.reload();
    } catch (fault) {
      setError(fault as Error);
      setMaking(false);
    }
  };
  const isWhole = isWholePerson(person) && password !== null;
  return (
    <>
      <PartHead title="People">
        Nobody has to sign in: whoever works at this machine may do everything. So Mowing answers this machine
        only. Make yourself its owner, and from then on everybody signs in; you let others in, account by
        account.
      </PartHead>
      <form
        aria-label="First owner"
        className="framed"
        onSubmit={(event) => {
          event.preventDefault();
          if (isWhole && !isMaking) void make();
        }}
      >
        <div className="fields">
          <PersonFields nameLabel="Your name" person={person} onPerson={setPerson} />
          <PasswordFields onPassword={setPassword} />
        </div>
        <Fault error={error} />
        <div className="bar">
          <Button type="submit" variant="contained" disabled={!isWhole || isMaking}>
            Own this Mowing
          </Button>
          <span className="faint">
            A lost password is replaced at this machine: npm run people -- link --email ADDRESS
          </span>
        </div>
      </form>
    </>
  );
}
