import Button from '@mui/material/Button';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../shared/api';
import { formatTime } from '../../shared/formatTime';
import { Facts, Fault, TextBox } from '../../shared/kit';
import { addPasskey, canUsePasskeys } from '../../shared/people/passkeys';
import { usePeopleAct } from './usePeople';

/** Keys that one's devices keep: one comes in with them instead of a password. */
export function Passkeys() {
  const { data, error } = useQuery({ queryKey: ['passkeys'], queryFn: api.passkeys });
  const [name, setName] = useState('');
  const add = usePeopleAct(addPasskey, () => setName(''));
  const drop = usePeopleAct((id: number) => api.dropPasskey(id));
  return (
    <section className="apart" aria-label="Passkeys">
      <h2 className="pageTitle">Passkeys</h2>
      <Fault error={error} />
      {data && data.length > 0 && (
        <Facts aria-label="Passkeys" sx={{ maxWidth: 900 }}>
          <TableBody>
            {data.map((key) => (
              <TableRow key={key.id}>
                <TableCell>{key.name}</TableCell>
                <TableCell className="faint">made {formatTime(key.madeAt)}</TableCell>
                <TableCell className="faint">
                  {key.usedAt === null ? 'not used yet' : `last used ${formatTime(key.usedAt)}`}
                </TableCell>
                <TableCell className="figure">
                  <Button variant="link" onClick={() => drop.mutate(key.id)}>
                    Remove
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Facts>
      )}
      {canUsePasskeys() ? (
        <form
          aria-label="New passkey"
          className="bar"
          onSubmit={(event) => {
            event.preventDefault();
            if (!add.isPending) add.mutate(name.trim() || 'this device');
          }}
        >
          <TextBox
            aria-label="Name of the passkey"
            placeholder="Which device?"
            maxLength={80}
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
          <Button type="submit" variant="outlined" disabled={add.isPending}>
            Add a passkey
          </Button>
        </form>
      ) : (
        <p className="faint">
          Browsers make passkeys for a name with TLS, or for localhost, and not for the address that you are
          at.
        </p>
      )}
    </section>
  );
}
