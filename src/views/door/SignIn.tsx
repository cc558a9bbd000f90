import Button from '@mui/material/Button';
import { useState } from 'react';
import { ApiError } from '../shared/ask';
import { Fault, Field, TextBox } from '../shared/kit';
import { canUsePasskeys, comeInByPasskey } from '../shared/people/passkeys';
import { peopleApi } from '../shared/people/peopleApi';
import { DoorPage } from './DoorPage';
import { useTry } from './useTry';
import { wayIn } from './wayIn';

const isCodeWanted = (error: Error | null) => error instanceof ApiError && error.code === 'code-wanted';

/** Lets somebody in by e-mail and password, and by the code of an app where she has one. */
export function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  /** Whose code is asked for, once the password was right; null: nobody's. */
  const [codeOf, setCodeOf] = useState<string | null>(null);
  const wantsCode = codeOf === email;
  const { isTrying, error, attempt } = useTry(
    () =>
      peopleApi.signIn({ email, password, ...(wantsCode && { code }) }).catch((fault: Error) => {
        if (isCodeWanted(fault)) setCodeOf(email);
        throw fault;
      }),
    () => location.assign(wayIn(location.search)),
  );
  const passkey = useTry(comeInByPasskey, () => location.assign(wayIn(location.search)));
  return (
    <DoorPage title="Sign in" onSubmit={attempt}>
      <Field label="E-mail">
        <TextBox
          isWide
          autoFocus
          aria-label="E-mail"
          autoComplete="username"
          inputMode="email"
          value={email}
          onChange={({ target }) => setEmail(target.value)}
        />
      </Field>
      <Field label="Password">
        <TextBox
          isSecret
          isWide
          aria-label="Password"
          autoComplete="current-password"
          value={password}
          onChange={({ target }) => setPassword(target.value)}
        />
      </Field>
      {wantsCode && (
        <Field label="Code of your app">
          <TextBox
            isWide
            autoFocus
            aria-label="Code of your app"
            autoComplete="one-time-code"
            inputMode="numeric"
            value={code}
            onChange={({ target }) => setCode(target.value)}
          />
        </Field>
      )}
      <Fault error={isCodeWanted(error) ? null : (error ?? passkey.error)} />
      <Button
        type="submit"
        variant="contained"
        disabled={isTrying || email === '' || password === '' || (wantsCode && code === '')}
      >
        {isTrying ? 'Signing in …' : 'Sign in'}
      </Button>
      {canUsePasskeys() && (
        <Button variant="outlined" disabled={passkey.isTrying} onClick={passkey.attempt}>
          Come in with a passkey
        </Button>
      )}
      <p className="note">
        {wantsCode
          ? 'Without your phone, an owner of your account makes you a link for a new password: it turns codes off.'
          : 'Forgotten it? An owner of your account makes you a link for a new one.'}
      </p>
    </DoorPage>
  );
}
