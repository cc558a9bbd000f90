import ListItemButton from '@mui/material/ListItemButton';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { writeAnyOf } from '../../../core/conditions';
import { lensNamed } from '../../../core/lenses';
import { formatDay } from '../../../core/units';
import { daysOfWords } from '../../../core/windows';
import type { Swath } from '../../../contract/field';
import { api } from '../../shared/api';
import type { FieldState } from '../useFieldState';
import { writeSorts } from '../useFieldState';
import { READY_MADE } from './readyMade';
import { TextBox } from '../../shared/kit';

interface SwathMenuProps {
  account: number;
  state: FieldState;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

const isSame = (swath: Pick<Swath, 'lens' | 'conditions'>, state: FieldState) =>
  swath.lens === state.lens && swath.conditions.join() === state.stack.map(writeAnyOf).join();

/** Stacks of conditions by name: those everybody starts with, and those kept here. */
export function SwathMenu({ account, state, isOpen, onOpen }: SwathMenuProps) {
  const anchor = useRef<HTMLButtonElement>(null);
  const own = useQuery({ queryKey: ['swaths', account], queryFn: () => api.swaths(account) });
  const shown = [...READY_MADE, ...(own.data ?? [])].find((swath) => isSame(swath, state));
  return (
    <>
      <Button
        ref={anchor}
        title="Swaths: kept conditions (v)"
        onClick={() => onOpen(true)}
        sx={{ padding: '0 6px' }}
      >
        Swath{shown ? `: ${shown.name}` : 's'} ▾
      </Button>
      <Popover
        open={isOpen}
        onClose={() => onOpen(false)}
        anchorEl={() => anchor.current!}
        transitionDuration={0}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <SwathList account={account} state={state} own={own.data ?? []} onDone={() => onOpen(false)} />
      </Popover>
    </>
  );
}

function SwathList({
  account,
  state,
  own,
  onDone,
}: {
  account: number;
  state: FieldState;
  own: Swath[];
  onDone: () => void;
}) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['swaths', account] });
  const remove = useMutation({
    mutationFn: (id: number) => api.removeSwath(account, id),
    onSettled: refresh,
  });
  const show = (swath: Omit<Swath, 'id'>) => {
    state.showSwath(swath);
    onDone();
  };
  return (
    <Box sx={{ padding: '10px 14px', width: 440 }} role="group" aria-label="Swaths">
      {READY_MADE.map((swath) => (
        <ListItemButton component="button" key={swath.name} onClick={() => show(swath)}>
          <span>
            <strong>{swath.name}</strong> <span className="faint">{lensNamed(swath.lens).label}</span>
            <span className="faint block">{swath.does}</span>
          </span>
        </ListItemButton>
      ))}
      <p className="note">
        {own.length > 0 ? 'Kept here' : 'None of your own yet: stack conditions, then name them.'}
      </p>
      {own.map((swath) => (
        <div className="bar" key={swath.id}>
          <ListItemButton component="button" className="room" onClick={() => show(swath)}>
            <span>
              <strong>{swath.name}</strong>{' '}
              <span className="faint">
                {lensNamed(swath.lens).label}
                {windowText(swath)}
              </span>
            </span>
          </ListItemButton>
          <Button
            data-may="decide"
            aria-label={`Remove the swath ${swath.name}`}
            onClick={() => remove.mutate(swath.id)}
          >
            Remove
          </Button>
        </div>
      ))}
      <KeepSwath account={account} state={state} onKept={() => void refresh().then(onDone)} />
    </Box>
  );
}

function KeepSwath({ account, state, onKept }: { account: number; state: FieldState; onKept: () => void }) {
  const [name, setName] = useState('');
  const keep = useMutation({
    mutationFn: () =>
      api.keepSwath(account, {
        name: name.trim(),
        lens: state.lens,
        conditions: state.stack.map(writeAnyOf),
        sort: writeSorts(state.sorts),
        from: state.from,
        to: state.to,
      }),
    onSuccess: onKept,
  });
  if (state.stack.length === 0) return null;
  return (
    <form
      data-may="decide"
      className="bar"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') keep.mutate();
      }}
    >
      <TextBox
        aria-label="Name of the swath"
        placeholder="Name for these conditions"
        value={name}
        maxLength={60}
        isWide
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={name.trim() === '' || keep.isPending}>
        Keep
      </Button>
      {keep.error && (
        <span role="alert" className="over">
          {keep.error.message}
        </span>
      )}
    </form>
  );
}

/** The window of a swath; nothing for whatever is shown. */
function windowText({ from, to }: Swath): string {
  if (from === null || to === null) return '';
  const days = daysOfWords(from);
  return days === null ? ` · ${formatDay(from)} – ${formatDay(to)}` : ` · last ${days} settled days`;
}
