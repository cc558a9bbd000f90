import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { AccountInfo } from '../../../contract/api';
import type { NamedWeek, SchedulesAnswer } from '../../../contract/schedules';
import { readWeek, weekText, weekWords } from '../../../core/schedules';
import { api } from '../../shared/api';
import { Choice, TextBox } from '../../shared/kit';
import { recall, remember } from '../../shared/remembered';
import { useUndo } from '../../shared/undo/useUndo';
import type { Undoable } from '../../shared/undo/undoStore';
import { useTell } from '../../shared/useTell';
import { FollowDialog } from './FollowDialog';
import { editOf } from './weekEdit';
import { WeekEditor } from './WeekEditor';
import { WeekPriceLine } from './WeekPriceLine';

interface WeekBenchProps {
  account: AccountInfo;
  schedules: SchedulesAnswer;
  onTrials: () => void;
}

interface Draft {
  /** Name under which it is kept; null: not kept yet. */
  was: string | null;
  name: string;
  week: string;
}

const NEW = '';

/** A week that is painted, kept by name, and given to campaigns. What is on it outlives the page. */
export function WeekBench({ account, schedules, onTrials }: WeekBenchProps) {
  const { named, proposal, worth, offered, rows } = schedules;
  const tell = useTell();
  const undo = useUndo(account.id);
  const client = useQueryClient();
  const shelf = `week-${account.id}`;
  const begin = (): Draft =>
    worth.isWorthIt
      ? { was: null, name: rows.find(({ isOwn }) => !isOwn)?.name ?? '', week: proposal.week }
      : { was: null, name: '', week: weekText(editOf().week) };
  const [draft, setDraft] = useState<Draft>(() => recall<Draft | null>(shelf, null) ?? begin());
  const [edit, setEdit] = useState(() => editOf(readWeek(draft.week) ?? undefined));
  const [isGiving, setGiving] = useState(false);
  const week = weekText(edit.week);
  const name = draft.name.trim();
  const hold = (next: Draft) => {
    setDraft(next);
    remember(shelf, next);
  };
  const kept = named.find(({ name }) => name === draft.was);
  const isKept = kept?.week === week && kept.name === name;
  const open = (name: string) => {
    const one = named.find((each) => each.name === name);
    const next = one ? { was: one.name, ...one } : begin();
    hold(next);
    setEdit(editOf(readWeek(next.week) ?? undefined));
  };
  const act = async (work: Promise<unknown>, next: Draft, did: Undoable, more: string) => {
    try {
      await undo.during(work);
      hold(next);
      undo.did(did, { more });
    } catch (error) {
      tell((error as Error).message, { kind: 'fault' });
    }
    await client.invalidateQueries({ queryKey: ['schedules'] });
  };
  const keep = () =>
    void act(
      api.keepWeek(account.id, { name, week }, draft.was),
      { was: name, name, week },
      {
        words: `“${name}” is kept`,
        undoing: kept ? { kind: 'week', week: kept, was: name } : { kind: 'no-week', name },
      },
      'Campaigns that follow it go on as they are until they are given it anew.',
    );
  const forget = (one: NamedWeek) =>
    void act(
      api.dropWeek(account.id, one.name),
      { ...draft, was: null, week },
      { words: `“${one.name}” is kept no more`, undoing: { kind: 'week', week: one, was: null } },
      'It stays on the grid until you leave it.',
    );
  return (
    <>
      <h2 className="serif part">
        A week of bids <span className="faint small">{weekWords(edit.week)}</span>
      </h2>
      <div className="bar">
        <Choice label="Schedule" isLabelled value={draft.was ?? NEW} onChange={open} width={180}>
          {[[NEW, 'a new one'] as const, ...named.map((one) => [one.name, one.name] as const)]}
        </Choice>
        <TextBox
          aria-label="Name"
          value={draft.name}
          letters={22}
          maxLength={100}
          placeholder="Name, as “Weekends lower”"
          onChange={(event) => hold({ ...draft, name: event.target.value, week })}
        />
        <Button data-may="decide" disabled={name === '' || isKept} onClick={keep}>
          {isKept ? 'Kept' : 'Keep'}
        </Button>
        {kept && (
          <Button data-may="decide" onClick={() => forget(kept)}>
            Forget
          </Button>
        )}
        <span className="room" />
        <Button
          data-may="decide"
          variant="contained"
          disabled={name === '' || offered === null || offered === false}
          title={name === '' ? 'Give it a name first' : undefined}
          onClick={() => setGiving(true)}
        >
          Give it to campaigns …
        </Button>
      </div>
      <WeekEditor
        edit={edit}
        onEdit={(next) => {
          setEdit(next);
          if (next.week !== edit.week) hold({ ...draft, week: weekText(next.week) });
        }}
        raisesOnly={offered === 'raise only'}
        proposed={worth.isWorthIt ? readWeek(proposal.week) : null}
      />
      <WeekPriceLine account={account} schedules={schedules} week={week} />
      {isGiving && (
        <FollowDialog
          account={account}
          schedules={schedules}
          week={{ name, week }}
          onDone={() => setGiving(false)}
          onTrials={onTrials}
        />
      )}
    </>
  );
}
