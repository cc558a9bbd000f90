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
  const done = new Map<Work, WorkState>();
  // The registry does not change while the page stands: the hooks are called in one order.
  for (const work of works) done.set(work, work.useWork({ ...at, isWanted: isFirstThere || work === first }));
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
  return done;
}
