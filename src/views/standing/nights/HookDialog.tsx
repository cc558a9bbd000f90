import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { Ask, Fault, Loading, TextBox } from '../../shared/kit';
import { standingApi } from '../standingApi';

interface HookDialogProps {
  account: AccountInfo;
  onDone: () => void;
}

/** Where the summary of each night is sent to: an address, and the secret that it is signed with. */
export function HookDialog({ account, onDone }: HookDialogProps) {
  const { data } = useQuery({
    queryKey: ['hook', account.id],
    queryFn: () => standingApi.hook(account.id),
    staleTime: 0,
  });
  const [url, setUrl] = useState<string | null>(null);
  const [secret, setSecret] = useState('');
  const [error, setError] = useState<Error | null>(null);
  const shown = url ?? data?.url ?? '';
  const keep = async () => {
    try {
      await standingApi.setHook({
        account: account.id,
        url: shown.trim() === '' ? null : shown.trim(),
        ...(secret !== '' && { secret }),
      });
      onDone();
    } catch (fault) {
      setError(fault as Error);
    }
  };
  return (
    <Ask
      title="Tell another program"
      does="Keep it"
      onDone={(isWanted) => (isWanted ? void keep() : onDone())}
    >
      {!data ? (
        <Loading>Loading …</Loading>
      ) : (
        <div className="settingLines">
          <p className="note">
            After each night its summary is sent to this address as JSON, signed with the secret (HMAC-SHA256,
            in the header x-mowing-signature). It is tried again with pauses; empty: nobody is told.
          </p>
          <TextBox
            aria-label="Address"
            placeholder="https://"
            isWide
            value={shown}
            onChange={({ target }) => setUrl(target.value)}
          />
          <TextBox
            aria-label="Secret"
            placeholder={data.hasSecret ? 'as it is' : 'a secret, 8 letters at least'}
            isWide
            value={secret}
            onChange={({ target }) => setSecret(target.value)}
          />
          {data.said && <p className="note">Last try: {data.said}</p>}
          <Fault error={error} />
        </div>
      )}
    </Ask>
  );
}
