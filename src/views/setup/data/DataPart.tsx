import { formatDay } from '../../../core/units';
import type { AccountInfo } from '../../../contract/api';
import { PartHead } from '../PartHead';
import { Coverage } from './Coverage';
import { ExportList } from './ExportList';
import { FundsPanel } from './FundsPanel';
import { ImportList } from './ImportList';
import { MappingForm } from '../../shared/imports/MappingForm';
import { SummedList } from './SummedList';
import { NextNight } from './NextNight';
import { SyncPanel } from './SyncPanel';
import { UploadBox } from '../../shared/imports/UploadBox';
import { useImports } from '../../shared/imports/useImports';
import { useSync } from './useSync';

/** What is here of an account's data, and how more comes in and goes out. */
export function DataPart({ account }: { account: AccountInfo }) {
  const imports = useImports(account.id);
  const sync = useSync(account);
  return (
    <>
      <PartHead title={`Data of ${account.name}`}>
        {account.firstDay
          ? `Figures from ${formatDay(account.firstDay)} to ${formatDay(account.lastDay!)}`
          : 'No figures yet'}{' '}
        · {account.currency} ·{' '}
        {account.connected ? 'connected to its market' : 'fed by files; you take its changes as a file'}
      </PartHead>
      {account.connected && <SyncPanel sync={sync} />}
      {account.connected && <NextNight account={account} />}
      {account.connected && account.funds !== null && <FundsPanel account={account} />}
      {account.connected && sync.data && <Coverage data={sync.data} />}
      <h2 className="pageTitle">Files</h2>
      <UploadBox imports={imports} />
      {imports.mapping && (
        <MappingForm key={imports.mapping.importId} imports={imports} answer={imports.mapping} />
      )}
      <SummedList account={account} />
      <ExportList account={account} />
      <ImportList imports={imports} />
    </>
  );
}
