import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Me } from '../../../contract/people';
import { api } from '../../shared/api';
import { formatTime } from '../../shared/formatTime';
import { Facts, Fault, Field, TextBox } from '../../shared/kit';
import { PasswordFields } from '../../shared/people/PasswordFields';
import { useTell } from '../../shared/useTell';
import { usePeopleAct } from './usePeople';

/** One's own password, and where one is signed in. */
export function OwnSignIn({ me }: { me: NonNullable<Me['person']> }) {
  const { data: sessions, error } = useQuery({ queryKey: ['sessions'], queryFn: api.sessions });
  const [isChanging, setChanging] = useState(false);
  const end = usePeopleAct((id: number) => api.signOut(id));
  return (
    <section className="apart" aria-label="Your sign-in">
      <h2 className="pageTitle">Your sign-in</h2>
      <p className="bar">
        <span>
          {me.name} · {me.email}
        </span>
        <Button variant="outlined" onClick={() => setChanging(!isChanging)}>
          Change the password
        </Button>
      </p>
      {isChanging && <PasswordChange onClose={() => setChanging(false)} />}
      <Fault error={error} />
      <Facts aria-label="Where you are signed in" sx={{ maxWidth: 900 }}>
        <TableBody>
          {(sessions ?? []).map((session) => (
            <TableRow key={session.id}>
              <TableCell>{browserName(session.browser)}</TableCell>
              <TableCell className="faint">{session.address}</TableCell>
              <TableCell className="faint">since {formatTime(session.madeAt)}</TableCell>
              <TableCell className="faint">last used {formatTime(session.seenAt)}</TableCell>
              <TableCell className="figure">
                {session.isThis ? (
                  <span className="faint">this one</span>
                ) : (
                  <Button variant="link" onClick={() => end.mutate(session.id)}>
                    Sign out there
                  </Button>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Facts>
    </section>
  );
}

function PasswordChange({ onClose }: { onClose: () => void }) {
  const tell = useTell();
  const [old, setOld] = useState('');
  const [password, setPassword] = useState<string | null>(null);
  const change = usePeopleAct(api.setPassword, () => {
    tell('Password changed; elsewhere you are signed out');
    onClose();
  });
  return (
    <form
      aria-label="Change the password"
      className="framed"
      onSubmit={(event) => {
        event.preventDefault();
        if (password !== null && !change.isPending) change.mutate({ old, password });
      }}
    >
      <div className="fields">
        <Field label="The old one">
          <TextBox
            isSecret
            aria-label="The old one"
            autoComplete="current-password"
            value={old}
            onChange={({ target }) => setOld(target.value)}
          />
        </Field>
        <PasswordFields label="The new one" onPassword={setPassword} />
      </div>
      <div className="bar">
        <Button
          type="submit"
          variant="contained"
          disabled={old === '' || password === null || change.isPending}
        >
          Change it
        </Button>
        <Button onClick={onClose}>Cancel</Button>
      </div>
    </form>
  );
}

/** What a browser calls itself, made short: its name and the system that it runs on. */
function browserName(agent: string): string {
  const name = /(Firefox|Edg|OPR|Chrome|Safari)\/(\d+)/.exec(agent);
  const system = /\(([^;)]+)/.exec(agent)?.[1];
  if (!name) return agent === '' ? 'unknown' : agent.slice(0, 40);
  return `${name[1]} ${name[2]}${system ? `, ${system}` : ''}`;
}
