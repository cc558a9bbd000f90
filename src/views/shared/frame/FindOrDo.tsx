import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { navigate } from 'wouter/use-browser-location';
import Dialog from '@mui/material/Dialog';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import { pageEngine } from '../fieldEngine/pageEngine';
import { dataVersion } from '../fieldEngine/dataVersion';
import type { Found } from '../../../plans/field';
import { foundLink } from './foundLink';

/** Something that can be done from here, by its name. */
export interface Action {
  label: string;
  keys: string;
  run: () => void;
}

interface FindOrDoProps {
  onClose: () => void;
  account: AccountInfo | undefined;
  actions: Action[];
}

interface Choice {
  key: string;
  kind: string;
  name: string;
  place: string;
  run: () => void;
}

/** Jumps to any campaign, product, target or term, and runs any action, by typing a part of its name. */
export function FindOrDo({ onClose, account, actions }: FindOrDoProps) {
  const [text, setText] = useState('');
  const asked = useDeferredValue(text.trim());
  const { data, isFetching, error } = useQuery({
    queryKey: ['find', account?.id, asked],
    queryFn: () => pageEngine().find(account!.id, dataVersion(account), asked),
    enabled: account !== undefined && asked.length >= 2,
    placeholderData: (before) => before,
  });
  const choices = useMemo(
    () => [
      ...doable(actions, text),
      ...(asked.length >= 2 ? (data ?? []) : []).map((one) => toChoice(one, account)),
    ],
    [actions, text, asked, data, account],
  );
  const nothing =
    error?.message ??
    (isFetching ? 'Looking …' : asked.length < 2 ? 'Type two letters or more.' : `Nothing holds “${asked}”.`);
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="sm"
      fullWidth
      transitionDuration={0}
      className="findDialog"
      aria-label="Find or do"
    >
      <Autocomplete<Choice, false, true>
        open
        autoHighlight
        disableClearable
        disablePortal
        filterOptions={(all) => all}
        options={choices}
        value={null as never}
        inputValue={text}
        onInputChange={(_, next, reason) => reason === 'input' && setText(next)}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ key }) => key}
        noOptionsText={<span className={error ? 'over' : 'faint'}>{nothing}</span>}
        onChange={(_, choice) => {
          onClose();
          choice.run();
        }}
        onClose={(_, reason) => reason === 'escape' && onClose()}
        forcePopupIcon={false}
        slotProps={{
          listbox: { 'aria-label': 'Found' } as object,
          popper: { className: 'findList' } as object,
        }}
        renderOption={({ key, ...option }, choice) => (
          <li key={key} {...option}>
            <span className="faint findKind">{choice.kind}</span>
            <span className="cut room">{choice.name}</span>
            <span className="faint cut findPlace">{choice.place}</span>
          </li>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            autoFocus
            placeholder="A campaign, product, keyword, term – or what to do"
            slotProps={{
              ...params.slotProps,
              htmlInput: { ...params.slotProps?.htmlInput, 'aria-label': 'Find or do' },
            }}
          />
        )}
      />
    </Dialog>
  );
}

/** Actions whose name holds every word typed; all of them before anything is typed. */
function doable(actions: Action[], text: string): Choice[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return actions
    .filter(({ label }) => words.every((word) => label.toLowerCase().includes(word)))
    .map(({ label, keys, run }) => ({ key: `do ${label}`, kind: 'do', name: label, place: keys, run }));
}

function toChoice(found: Found, account: AccountInfo | undefined): Choice {
  const key = `${found.kind} ${found.name} ${found.place} ${found.scope?.id ?? ''}`;
  return { key, ...found, run: () => navigate(foundLink(found, account?.id)) };
}
