import Button from '@mui/material/Button';
import { useState } from 'react';
import { api } from '../shared/api';
import { pageLink } from '../shared/frame/pages';

/** Makes an account that is fed by files. */
export function AccountForm({ onClose }: { onClose: () => void }) {
  const [name, setName] = useState('');
  const [currency, setCurrency] = useState('EUR');
  const [fault, setFault] = useState('');
  const make = async () => {
    try {
      const account = await api.createAccount({ name, currency });
      location.assign(pageLink('setup', account.id));
    } catch (error) {
      setFault((error as Error).message);
    }
  };
  return (
    <form
      aria-label="New account"
      style={{ display: 'flex', gap: 10, alignItems: 'center', marginBottom: 14 }}
      onSubmit={(event) => {
        event.preventDefault();
        void make();
      }}
    >
      <label>
        Name{' '}
        <input
          autoFocus
          value={name}
          maxLength={80}
          required
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label>
        Currency{' '}
        <input
          value={currency}
          size={4}
          maxLength={3}
          required
          onChange={(event) => setCurrency(event.target.value.toUpperCase())}
        />
      </label>
      <Button type="submit" variant="contained">
        Make the account
      </Button>
      <Button onClick={onClose}>Cancel</Button>
      {fault !== '' && (
        <span role="alert" className="over">
          {fault}
        </span>
      )}
    </form>
  );
}
