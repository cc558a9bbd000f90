import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { ROLES } from '../../../contract/people';
import type { Role, TokenInfo } from '../../../contract/people';
import { addDays, formatFullDay } from '../../../core/units';
import { api } from '../../shared/api';
import { formatTime } from '../../shared/formatTime';
import { Choice, DayField, Facts, Field, TextBox } from '../../shared/kit';
import { ShownOnce } from './ShownOnce';
import { usePeopleAct } from './usePeople';

/** Days that a new token lasts, unless another is said. */
const USUAL_DAYS = 90;

/** Keys with which scripts ask about an account. */
export function TokenList({ account, tokens }: { account: AccountInfo; tokens: TokenInfo[] }) {
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('reads');
  const [endsOn, setEndsOn] = useState<string>(addDays(account.today, USUAL_DAYS));
  const [key, setKey] = useState<string | null>(null);
  const make = usePeopleAct(
    (token: { name: string; role: Role; endsOn: string }) => api.makeToken(account.id, token),
    (made) => {
      setKey(made.key);
      setName('');
    },
  );
  const end = usePeopleAct((id: number) => api.endToken(account.id, id));
  return (
    <section className="apart" aria-label="Tokens for scripts">
      <h2 className="pageTitle">Tokens for scripts</h2>
      {tokens.length > 0 && (
        <Facts aria-label="Tokens" sx={{ maxWidth: 900 }}>
          <TableHead>
            <TableRow>
              <TableCell>Name</TableCell>
              <TableCell>Role</TableCell>
              <TableCell>Made by</TableCell>
              <TableCell>Last used</TableCell>
              <TableCell>Ends on</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {tokens.map((token) => (
              <TableRow key={token.id}>
                <TableCell>{token.name}</TableCell>
                <TableCell>{token.role}</TableCell>
                <TableCell className="faint">{token.by}</TableCell>
                <TableCell className="faint">
                  {token.usedAt === null ? 'never' : formatTime(token.usedAt)}
                </TableCell>
                <TableCell className="faint">{formatFullDay(token.endsOn)}</TableCell>
                <TableCell className="figure">
                  <Button variant="link" onClick={() => end.mutate(token.id)}>
                    End now
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      <form
        aria-label="New token"
        className="framed"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() !== '' && !make.isPending) make.mutate({ name: name.trim(), role, endsOn });
        }}
      >
        <div className="fields">
          <Field label="What uses it">
            <TextBox
              aria-label="What uses it"
              maxLength={80}
              value={name}
              onChange={({ target }) => setName(target.value)}
            />
          </Field>
          <Field label="Role">
            <Choice label="Role of the token" value={role} onChange={(next) => setRole(next as Role)}>
              {ROLES.filter((one) => one !== 'owns')}
            </Choice>
          </Field>
          <Field label="Ends on">
            <DayField label="Ends on" value={endsOn} onChange={setEndsOn} />
          </Field>
          <Field label=" ">
            <Button type="submit" variant="outlined" disabled={name.trim() === '' || make.isPending}>
              Make a token
            </Button>
          </Field>
        </div>
      </form>
      {key !== null && (
        <ShownOnce title="The new token" secret={key} onClose={() => setKey(null)}>
          It is shown this once, and kept nowhere. A script sends it as “Authorization: Bearer …”.
        </ShownOnce>
      )}
    </section>
  );
}
