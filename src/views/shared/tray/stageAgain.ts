import type { ChangeInfo, NewChange } from '../../../contract/changes';

/** Refused changes as they were, to be staged again; what waits for another of them waits for it again. */
export function stageAgain(refused: readonly ChangeInfo[]): NewChange[] {
  const ordered = [...refused].sort((a, b) => Number(a.afterId !== null) - Number(b.afterId !== null));
  const at = new Map(ordered.map(({ id }, index) => [id, index]));
  return ordered.map(({ change, reason, figures, carries, effect, afterId }) => {
    const after = afterId === null ? undefined : at.get(afterId);
    return { change, reason, figures, carries, effect, ...(after === undefined ? {} : { after }) };
  });
}
