import type { Me } from '../../contract/people';
import type { Visitor } from './visitor';

/** Who somebody is, as she is told it. */
export function meOf(visitor: Visitor | null): Me {
  if (!visitor?.person) return { person: null };
  const { id, name, email, ownsAll } = visitor.person;
  return { person: { id, name, email, ownsAll } };
}
