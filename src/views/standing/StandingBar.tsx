import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { RuleInfo } from '../../contract/rules';
import { Check } from '../shared/kit';

interface StandingBarProps {
  info: RuleInfo;
  isTrying: boolean;
  /** Whether it was tried on this page. */
  isAnswered: boolean;
  onTurn: (isOn: boolean) => void;
  onTry: () => void;
  /** How it stands. */
  words: string;
  children: ReactNode;
}

/** Whether a rule may be switched on: one that sends by itself only once it was tried, and played where that can be. */
export const mayBeOn = ({ rule, isTried, isPlayed, canPlay }: RuleInfo): boolean =>
  !rule.sends || (isTried && (isPlayed || !canPlay));

/** Switching something on that works by night, trying it, and how it stands. */
export function StandingBar({
  info,
  isTrying,
  isAnswered,
  onTurn,
  onTry,
  words,
  children,
}: StandingBarProps) {
  const { isOn, isTried } = info;
  return (
    <div className="bar">
      <Check data-may="send" isSwitch isOn={isOn} isOff={!isOn && !mayBeOn(info)} onChange={onTurn}>
        on
      </Check>
      <Button variant={isTried ? 'outlined' : 'contained'} disabled={isTrying} title="y" onClick={onTry}>
        {isAnswered || isTried ? 'Try again' : 'Try it'}
      </Button>
      <span className="faint small">{words}</span>
      <span className="room" />
      {children}
    </div>
  );
}
