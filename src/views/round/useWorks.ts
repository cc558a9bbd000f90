import { useEffect, useState } from 'react';
import type { RoundAt, RoundStep, Work, WorkState } from './steps/step';

/** A step that works on nothing has what it shows within this time, ms; then the others are worked out. */
const FIRST_MS = 2500;
/** One that does not come up (its load failed) keeps the others waiting no longer than this, ms. */
const LONGEST_MS = 30_000;

/**
 * The work of all steps, each done once: the list of steps tells what is left in every one. What is looked at goes first: the others begin
 * once it stands. @param steps the same at each call
 */
export function useWorks(steps: readonly RoundStep[], at: RoundAt): Map<Work, WorkState> {
  const works = new Set(steps.flatMap(({ work }) => work ?? []));
  const first = steps.find(({ name }) => name === at.state.step)?.work ?? null;
  const [isFirstThere, setFirstThere] = useState(false);
  /** What the steps beside are counted by: another choice reaches them when the step that is looked at has followed it. */
  const { choices } = at.state.choices;
  const [followed, setFollowed] = useState(choices);
  const beside = { ...at, state: { ...at.state, choices: { ...at.state.choices, choices: followed } } };
  const done = new Map<Work, WorkState>();
  // The registry does not change while the page stands: the hooks are called in one order.
  for (const work of works)
    done.set(
      work,
      work.useWork({ ...(work === first ? at : beside), isWanted: isFirstThere || work === first }),
    );
  const left = first && done.get(first);
  const stands = left !== null && left !== undefined && (left.left.length > 0 || !left.hasData);
  useEffect(() => {
    if (isFirstThere) return;
    if (stands) setFirstThere(true);
    else {
      const timer = setTimeout(() => setFirstThere(true), first === null ? FIRST_MS : LONGEST_MS);
      return () => clearTimeout(timer);
    }
  }, [isFirstThere, stands, first]);
  const isFollowed = !left || left.isCurrent || !left.hasData;
  useEffect(() => {
    // At once: the steps beside may begin in this very moment, and are not to begin with what was chosen before.
    if (isFollowed) return setFollowed(choices);
    const timer = setTimeout(() => setFollowed(choices), LONGEST_MS);
    return () => clearTimeout(timer);
  }, [isFollowed, choices]);
  return done;
}
