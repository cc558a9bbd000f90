import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { navigate } from 'wouter/use-browser-location';
import type { AccountInfo } from '../../../contract/api';
import type { CarriedOutRequest } from '../../../contract/changes';
import { api } from '../api';
import { pageLink } from '../frame/pages';
import { useTell } from '../useTell';
import type { TrayState } from './useTray';

// Most accounts send: they do not wait for it with the first view.
const CarriedOutDialog = lazy(() => import('./CarriedOutDialog'));

/** An account fed by files: says that the tray was carried out by hand, and when. */
export function CarriedOut({ account, tray }: { account: AccountInfo; tray: TrayState }) {
  const [isAsked, setAsked] = useState(false);
  const tell = useTell();
  const { changes } = tray;
  const carry = useMutation({
    mutationFn: (said: Pick<CarriedOutRequest, 'day' | 'borneOut'>) =>
      api.carryOut({ account: account.id, ids: changes.map(({ id }) => id), ...said }),
    onSuccess: ({ baleId }) => navigate(`${pageLink('ledger', account.id)}&bale=${baleId}`),
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
    onSettled: () => void tray.refresh(),
  });
  return (
    <>
      <Button
        data-may="send"
        variant="contained"
        disabled={carry.isPending || tray.isStaging}
        onClick={() => setAsked(true)}
        aria-haspopup="dialog"
      >
        Carried out …
      </Button>
      {isAsked && (
        <Suspense fallback={null}>
          <CarriedOutDialog
            account={account}
            count={changes.length}
            onDone={(said) => {
              setAsked(false);
              if (said) carry.mutate(said);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
