import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { changeKey } from '../../../core/changes';
import type { NegativeListInfo } from '../../../contract/words';
import type { AccountInfo } from '../../../contract/api';
import { counted, formatCount } from '../../../core/units';
import type { TrayState } from '../../shared/tray/useTray';
import { Head } from '../Head';
import { ListCampaigns } from './ListCampaigns';
import { ListTerms } from './ListTerms';
import { liftExcess, stageMissing } from './listChanges';
import type { useNegativeLists } from './useNegativeLists';
import { TextBox } from '../../shared/kit';

interface ListBodyProps {
  account: AccountInfo;
  tray: TrayState;
  state: ReturnType<typeof useNegativeLists>;
  list: NegativeListInfo;
}

/** One list: what it holds, over which campaigns it is kept, and what is missing there. */
export function ListBody({ account, tray, state, list }: ListBodyProps) {
  const { id, name, terms, campaignIds } = list;
  const [isLeaving, setLeaving] = useState(false);
  const staged = new Set([...tray.changes, ...tray.sending].map(({ change }) => changeKey(change)));
  const missing = stageMissing(list).filter(({ change }) => !staged.has(changeKey(change)));
  const excess = liftExcess(list).filter(({ change }) => !staged.has(changeKey(change)));
  const all = terms.length * campaignIds.length;
  const set = (changes: Partial<Pick<NegativeListInfo, 'terms' | 'campaignIds' | 'name'>>) =>
    state.keep({ id, name, terms, campaignIds, ...changes });
  const waiting = list.missing.length - missing.length;
  return (
    <>
      <Head>
        “{name}”: {counted(terms.length, 'term')} over {counted(campaignIds.length, 'campaign')}
        {all > 0 &&
          `; ${formatCount(all - list.missing.length)} of ${formatCount(all)} hold${waiting > 0 ? `, ${formatCount(waiting)} wait in the tray` : ''}`}
        .
      </Head>
      <div className="bar">
        {missing.length > 0 && (
          <Button data-may="decide" variant="contained" onClick={() => tray.stage.mutate(missing)}>
            Stage the {formatCount(missing.length)} missing
          </Button>
        )}
        {excess.length > 0 && (
          <Button data-may="decide" variant="outlined" onClick={() => tray.stage.mutate(excess)}>
            Lift {formatCount(excess.length)} that it no longer asks for
          </Button>
        )}
        <span className="room" />
        <RenameField name={name} onName={(next) => set({ name: next })} />
        <Button
          data-may="decide"
          onBlur={() => setLeaving(false)}
          onClick={() => (isLeaving ? state.remove({ id, name, terms, campaignIds }) : setLeaving(true))}
        >
          {isLeaving ? 'Remove it for good' : 'Remove the list'}
        </Button>
      </div>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: '28px' }}>
        <ListTerms list={list} limits={account.limits} onTerms={(next) => set({ terms: next })} />
        <ListCampaigns
          list={list}
          campaigns={state.campaigns}
          onCampaigns={(next) => set({ campaignIds: next })}
        />
      </Box>
    </>
  );
}

function RenameField({ name, onName }: { name: string; onName: (name: string) => void }) {
  return (
    <TextBox
      key={name}
      aria-label="Name of the list"
      defaultValue={name}
      maxLength={60}
      onBlur={({ target }) => {
        const next = target.value.trim();
        if (next !== '' && next !== name) onName(next);
        else target.value = name;
      }}
      onKeyDown={({ key, currentTarget }) => key === 'Enter' && currentTarget.blur()}
    />
  );
}
