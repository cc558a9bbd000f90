import type { JobKind } from '../kind';
import { advance } from './advance';
import { hook } from './hook';
import { play } from './play';
import { report } from './report';
import { standing } from './standing';
import { sync } from './sync';

/** Every kind of job. A new one is a file beside these and a line here. */
export const JOB_KINDS: readonly JobKind[] = [
  sync,
  standing,
  advance as unknown as JobKind,
  play as unknown as JobKind,
  hook,
  report,
];

export const jobKind = (name: string): JobKind | undefined => JOB_KINDS.find((kind) => kind.name === name);
