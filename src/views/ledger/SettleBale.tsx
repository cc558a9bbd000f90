import Button from '@mui/material/Button';
import type { AccountInfo } from '../../contract/api';
import type { BaleInfo } from '../../contract/changes';
import { formatCount } from '../../core/units';
import { pageLink } from '../shared/frame/pages';
import { PlaceLink } from '../shared/kit';
import type { LedgerState } from './useLedger';

interface SettleBaleProps {
  ledger: LedgerState;
  bale: BaleInfo;
  account: AccountInfo;
}

/** What no import has borne out yet: it waits, or is settled by hand. */
export function SettleBale({ ledger, bale, account }: SettleBaleProps) {
  const open = bale.changes - bale.accepted - bale.refused;
  const { settle } = ledger;
  return (
    <div className="bar" role="group" aria-label="What is open">
      <span className="faint">
        {formatCount(open)} {open === 1 ? 'waits' : 'wait'} for an import of campaigns and targets (
        <PlaceLink href={pageLink('setup', account.id)}>Setup › Data</PlaceLink>) that says what stands there.
      </span>
      <Button
        data-may="send"
        disabled={settle.isPending}
        onClick={() => settle.mutate({ id: bale.id, as: 'carried-out' })}
      >
        The rest was carried out
      </Button>
      <Button
        data-may="send"
        disabled={settle.isPending}
        onClick={() => settle.mutate({ id: bale.id, as: 'back-to-tray' })}
      >
        Back to the tray
      </Button>
    </div>
  );
}
