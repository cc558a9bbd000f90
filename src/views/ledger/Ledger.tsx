import { useOffer } from '../shared/frame/place';
import type { PlaceProps } from '../shared/frame/place';
import { Columns, Empty, Loading, PlaceLink, Trouble } from '../shared/kit';
import { pageLink } from '../shared/frame/pages';
import { BaleChanges } from './BaleChanges';
import { BaleList } from './BaleList';
import { WhatWorked } from './effects/WhatWorked';
import { ReportsPart } from './reports/ReportsPart';
import { UndoDialog } from './UndoDialog';
import { LEDGER_KEYS, useLedger } from './useLedger';

/** Everything that was sent: bales on the left, the changes of one with the market's answers. */
export function Place({ account, error, tray }: PlaceProps) {
  const ledger = useLedger(account?.id);
  useOffer(LEDGER_KEYS);
  const fault = error ?? ledger.error;
  const { view } = ledger;
  const isEmpty = view === null && !ledger.bale;
  return (
    <Columns name="ledger" left={<BaleList ledger={ledger} />} leftWidth={280}>
      <main className="page" tabIndex={0} aria-label="Bale">
        {fault && <Trouble error={fault} />}
        {view === 'worked' && account && <WhatWorked account={account} />}
        {view === 'reports' && account && <ReportsPart key={account.id} account={account} />}
        {view === null && ledger.bale && account && (
          <BaleChanges bale={ledger.bale} ledger={ledger} tray={tray} account={account} />
        )}
        {isEmpty && !fault && ledger.isLoading && <Loading>Opening the ledger …</Loading>}
        {isEmpty && !fault && !ledger.isLoading && (
          <Empty
            why="Whatever you accept waits in the tray. Once you send it, it stands here with the market’s answers, what it did to spend and sales, and a way to undo it."
            next={
              tray.changes.length > 0 ? (
                <span>Open the tray (t) to send what is in it.</span>
              ) : (
                <PlaceLink href={pageLink('round', account?.id)}>Go through the round</PlaceLink>
              )
            }
          >
            Nothing has been sent yet.
          </Empty>
        )}
        {ledger.undo.asking && (
          <UndoDialog
            changed={ledger.undo.asking.changed}
            all={ledger.undo.asking.ids.length}
            onDone={ledger.undo.answer}
          />
        )}
      </main>
    </Columns>
  );
}
