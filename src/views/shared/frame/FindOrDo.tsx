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
  isOpen: boolean;
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
export function FindOrDo(props: FindOrDoProps) {
  return (
    <Dialog
      open={props.isOpen}
      onClose={props.onClose}
      maxWidth="sm"
      fullWidth
      transitionDuration={0}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
      aria-label="Find or do"
    >
      {props.isOpen && <FindList {...props} />}
    </Dialog>
  );
}

function FindList({ onClose, account, actions }: FindOrDoProps) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
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
  const focus = Math.min(at, choices.length - 1);
  const take = (choice: Choice | undefined) => {
    if (!choice) return;
    onClose();
    choice.run();
  };
  const move = (by: number) => {
    const next = Math.max(0, Math.min(choices.length - 1, focus + by));
    setAt(next);
    document.getElementById(`found-${next}`)?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <div style={{ padding: 12 }}>
      <input
        autoFocus
        role="combobox"
        aria-label="Find or do"
        aria-expanded
        aria-controls="found-list"
        aria-activedescendant={focus >= 0 ? `found-${focus}` : undefined}
        placeholder="A campaign, product, keyword, term – or what to do"
        value={text}
        style={{ width: '100%', boxSizing: 'border-box', fontSize: 15, padding: '6px 8px' }}
        onChange={(event) => {
          setText(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') move(1);
          else if (event.key === 'ArrowUp') move(-1);
          else if (event.key === 'Enter') take(choices[focus]);
          else return;
          event.preventDefault();
        }}
      />
      <div
        id="found-list"
        role="listbox"
        aria-label="Found"
        style={{ maxHeight: '60vh', overflow: 'auto', marginTop: 8 }}
      >
        {choices.map((choice, index) => (
          <div
            key={choice.key}
            id={`found-${index}`}
            role="option"
            aria-selected={index === focus}
            className="choice"
            style={{ gridTemplateColumns: '92px minmax(0, 1fr) auto', gap: 8 }}
            onClick={() => take(choice)}
          >
            <span className="faint">{choice.kind}</span>
            <span className="cut">{choice.name}</span>
            <span className="faint cut" style={{ maxWidth: 220 }}>
              {choice.place}
            </span>
          </div>
        ))}
        {error && (
          <p role="alert" className="over">
            {error.message}
          </p>
        )}
        {choices.length === 0 && (
          <p className="faint" style={{ margin: 6 }}>
            {isFetching
              ? 'Looking …'
              : asked.length < 2
                ? 'Type two letters or more.'
                : `Nothing holds “${asked}”.`}
          </p>
        )}
      </div>
    </div>
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
  return { key, ...found, run: () => location.assign(foundLink(found, account?.id)) };
}
