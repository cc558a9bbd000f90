import Button from '@mui/material/Button';
import { useState } from 'react';
import { Fault } from '../shared/kit';
import { PasswordFields } from '../shared/people/PasswordFields';
import { peopleApi } from '../shared/people/peopleApi';
import { DoorPage } from './DoorPage';
import { useTry } from './useTry';

/** Somebody with a one-time link chooses a password. What the link carries stands behind its #, and is sent nowhere else. */
export function Welcome() {
  const token = location.hash.slice(1);
  const [password, setPassword] = useState<string | null>(null);
  const { isTrying, error, attempt } = useTry(
    () => peopleApi.welcome({ token, password: password! }),
    () => location.assign('/'),
  );
  return (
    <DoorPage title="Choose your password" onSubmit={() => password !== null && attempt()}>
      {token === '' ? (
        <p className="over">This link is not whole. Copy all of it, to its end.</p>
      ) : (
        <>
          <PasswordFields onPassword={setPassword} />
          <Fault error={error} />
          <Button type="submit" variant="contained" disabled={isTrying || password === null}>
            {isTrying ? 'Keeping it …' : 'Keep it and go in'}
          </Button>
          <p className="note">The link works once. Where you were signed in before, that ends.</p>
        </>
      )}
    </DoorPage>
  );
}
