import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { CarriedOutRequest } from '../../../contract/changes';
import { Ask, DayField } from '../kit';
import { changeCount } from './money';

type BorneOut = CarriedOutRequest['borneOut'];
const WAYS: { way: BorneOut; label: string; does: string }[] = [
  { way: 'all', label: 'All of it', does: 'They stand from that day on.' },
  {
    way: 'by-import',
    label: 'What the next import of bids bears out',
    does: 'Each is compared with the file: what is as wanted counts, what is not is told, and what the file leaves open waits.',
  },
];

interface CarriedOutDialogProps {
  account: AccountInfo;
  /** Changes in the tray. */
  count: number;
  /** Null: nothing is to be done. */
  onDone: (said: Pick<CarriedOutRequest, 'day' | 'borneOut'> | null) => void;
}

/** On which day the tray was carried out by hand, and what bears it out. */
export default function CarriedOutDialog({ account, count, onDone }: CarriedOutDialogProps) {
  const [day, setDay] = useState(account.today);
  const [way, setWay] = useState<BorneOut>('all');
  const isWrong = day === '' || day > account.today;
  return (
    <Ask
      title={`${changeCount(count)} carried out by hand`}
      does="Make it a bale"
      isOff={isWrong}
      onDone={(isWanted) => onDone(isWanted ? { day, borneOut: way } : null)}
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
        The ledger keeps it with this day: what it did is measured from then, changed bids wait before they
        are proposed again, and it can be undone.
      </p>
    </Ask>
  );
}
