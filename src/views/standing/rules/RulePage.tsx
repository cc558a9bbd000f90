import Button from '@mui/material/Button';
import Alert from '@mui/material/Alert';
import type { AccountInfo } from '../../../contract/api';
import type { RuleInfo } from '../../../contract/rules';
import type { RuleGuards } from '../../../core/rules';
import { formatCount, formatFullDay } from '../../../core/units';
import { Fault, Progress } from '../../shared/kit';
import { useKeys } from '../../shared/useKeys';
import type { RulesState } from '../useRules';
import { PlayPart } from '../play/PlayPart';
import { FIRST_PLAY, usePlay } from '../play/usePlay';
import { asksWords, beforeWords, rhythmWords, WORK_DOES } from '../words';
import { RuleForm } from './RuleForm';
import { Tried } from './Tried';
import { mayBeOn, StandingBar } from '../StandingBar';
import { NIGHTS, useTry } from './useTry';

interface RulePageProps {
  account: AccountInfo;
  info: RuleInfo;
  all: readonly RuleInfo[];
  state: RulesState;
  guards: RuleGuards;
}

/** One rule: what it does, its settings, and what it would have done on the nights that are past. */
export function RulePage({ account, info, all, state, guards }: RulePageProps) {
  const { rule, isOn, stoppedWhy, canPlay, lastNight, nextNight, scopeName } = info;
  const { answer, isTrying, done, error, tryOut } = useTry(account, info, state);
  const play = usePlay(account, info);
  useKeys({
    o: () => (isOn || mayBeOn(info)) && void state.turn(info, !isOn),
    y: () => void tryOut(),
    p: () => canPlay && void play.play(FIRST_PLAY.weeks, FIRST_PLAY.markets),
  });
  const at = all.indexOf(info);
  const swap = (by: number) => {
    const ids = all.map(({ id }) => id);
    [ids[at], ids[at + by]] = [ids[at + by], ids[at]];
    void state.move(ids);
  };
  return (
    <>
      <header>
        <p className="sentence">
          {rule.name}: {WORK_DOES[rule.work]}, in {scopeName}, {rhythmWords(rule.rhythm)}; {asksWords(rule)}.
        </p>
        <StandingBar
          info={info}
          isTrying={isTrying}
          isAnswered={answer !== null}
          onTurn={(on) => void state.turn(info, on)}
          onTry={() => void tryOut()}
          words={standingWords(info, guards, lastNight, nextNight)}
        >
          <Button
            data-may="send"
            disabled={at <= 0}
            onClick={() => swap(-1)}
            title="Counts before the one above, where both want the same"
          >
            Up
          </Button>
          <Button data-may="send" disabled={at >= all.length - 1} onClick={() => swap(1)}>
            Down
          </Button>
          <Button data-may="send" onClick={() => void state.remove(info)}>
            Remove
          </Button>
        </StandingBar>
        {stoppedWhy && (
          <Alert severity="warning" sx={{ padding: '0 12px', marginTop: '4px' }}>
            It stopped by itself. {stoppedWhy} Look at its nights; switch it on again when it is to go on.{' '}
            <Button data-may="send" variant="link" onClick={() => void state.turn(info, false)}>
              Leave it off
            </Button>
          </Alert>
        )}
        <Fault error={error} />
      </header>
      <div className="planScroll">
        <RuleForm account={account} info={info} onRule={(change) => void state.edit(info, change)} />
        {answer && <Tried account={account} answer={answer} isWhole={!isTrying} />}
        {/* Below what is told already: what is looked at there stays where it is when the last night has come. */}
        {isTrying && (
          <Progress label="Trying" share={done / NIGHTS}>
            {formatCount(done)} of {formatCount(NIGHTS)} nights looked at
          </Progress>
        )}
        {canPlay ? (
          <PlayPart
            account={account}
            state={play}
            does="The rule on simulated markets like what it works in, beside the same markets without it."
          />
        ) : (
          <p className="note">No market can be played for this work: it is tried on the past alone.</p>
        )}
      </div>
    </>
  );
}

function standingWords(
  info: RuleInfo,
  { isStopped }: RuleGuards,
  last: string | null,
  next: string | null,
): string {
  const { rule, isOn } = info;
  const words = [
    ...(rule.sends && !mayBeOn(info) ? [beforeWords(info)] : []),
    ...(isStopped ? ['All rules are stopped.'] : []),
    ...(isOn && next ? [`Next night: ${formatFullDay(next)}.`] : []),
    ...(last ? [`Last night: ${formatFullDay(last)}.`] : []),
  ];
  return words.join(' ');
}
