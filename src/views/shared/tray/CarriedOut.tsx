import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { navigate } from 'wouter/use-browser-location';
import type { AccountInfo } from '../../../contract/api';
import type { CarriedOutRequest } from '../../../contract/changes';
import { api } from '../api';
import { pageLink } from '../frame/pages';
import { Ask, DayField } from '../kit';
import { useTell } from '../useTell';
import { changeCount } from './money';
import type { TrayState } from './useTray';

type BorneOut = CarriedOutRequest['borneOut'];
const WAYS: { way: BorneOut; label: string; does: string }[] = [
  { way: 'all', label: 'All of it', does: 'They stand from that day on.' },
  {
    way: 'by-import',
    label: 'What the next import of bids bears out',
    does: 'Each is compared with the file: what is as wanted counts, what is not is told, and what the file leaves open waits.',
  },
];

/** An account fed by files: says that the tray was carried out by hand, and when. */
export function CarriedOut({ account, tray }: { account: AccountInfo; tray: TrayState }) {
  const [isAsked, setAsked] = useState(false);
  const [day, setDay] = useState(account.today);
  const [way, setWay] = useState<BorneOut>('all');
  const tell = useTell();
  const { changes } = tray;
  const carry = useMutation({
    mutationFn: () =>
      api.carryOut({ account: account.id, ids: changes.map(({ id }) => id), day, borneOut: way }),
    onSuccess: ({ baleId }) => navigate(`${pageLink('ledger', account.id)}&bale=${baleId}`),
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
    onSettled: () => void tray.refresh(),
  });
  const isWrong = day === '' || day > account.today;
  const done = (isWanted: boolean) => {
    setAsked(false);
    if (isWanted) carry.mutate();
  };
  return (
    <>
      <Button
        variant="contained"
        disabled={carry.isPending || tray.isStaging}
        onClick={() => setAsked(true)}
        aria-haspopup="dialog"
      >
        Carried out …
      </Button>
      {isAsked && (
        <Ask
          title={`${changeCount(changes.length)} carried out by hand`}
          does="Make it a bale"
          isOff={isWrong}
          onDone={done}
        >
          <div className="bar">
            <span>On</span>
            <DayField label="Day" value={day} max={account.today} isWrong={isWrong} onChange={setDay} />
            {isWrong && <span className="over">Choose a day up to today.</span>}
          </div>
          <RadioGroup
            aria-label="What counts as carried out"
            value={way}
            onChange={(_, next) => setWay(next as BorneOut)}
          >
            {WAYS.map(({ way: one, label, does }) => (
              <Box key={one}>
                <FormControlLabel value={one} control={<Radio />} label={label} />
                <Box component="p" className="faint" sx={{ margin: '0 0 8px 32px' }}>
                  {does}
                </Box>
              </Box>
            ))}
          </RadioGroup>
          <p className="faint">
            The ledger keeps it with this day: what it did is measured from then, changed bids wait before
            they are proposed again, and it can be undone.
          </p>
        </Ask>
      )}
    </>
  );
}
