import Button from '@mui/material/Button';
import { useState } from 'react';
import { api } from '../../shared/api';
import { Fault, Field, TextBox } from '../../shared/kit';
import { PasswordFields } from '../../shared/people/PasswordFields';
import { PartHead } from '../PartHead';

/** Nobody signs in yet: makes whoever is here the first owner. */
export function FirstOwner() {
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState<string | null>(null);
  const [isMaking, setMaking] = useState(false);
  const [error, setError] = useState<Error | null>(null);
  const make = async () => {
    setMaking(true);
    setError(null);
    try {
      await api.firstOwner({ name, email, password: password! });
      location.reload();
    } catch (fault) {
      setError(fault as Error);
      setMaking(false);
    }
  };
  const isWhole = name.trim() !== '' && email.includes('@') && password !== null;
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
          <Field label="Your name">
            <TextBox
              aria-label="Your name"
              autoComplete="name"
              maxLength={80}
              value={name}
              onChange={({ target }) => setName(target.value)}
            />
          </Field>
          <Field label="E-mail">
            <TextBox
              aria-label="E-mail"
              autoComplete="username"
              letters={28}
              maxLength={200}
              value={email}
              onChange={({ target }) => setEmail(target.value)}
            />
          </Field>
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
