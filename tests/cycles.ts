import path from 'node:path';

export interface Import {
  from: string;
  to: string;
}

/** Circles among files, each named once by the files on it, shortest names first. Type imports count: what needs each other is one thing. */
export function circlesOf(files: readonly string[], imports: readonly Import[]): string[][] {
  const known = new Set(files);
  const resolve = (to: string) =>
    [to, `${to}.ts`, `${to}.tsx`, path.join(to, 'index.ts')].find((name) => known.has(name));
  const next = new Map<string, string[]>();
  for (const { from, to } of imports) {
    const target = resolve(to);
    if (target && target !== from) next.set(from, [...(next.get(from) ?? []), target]);
  }
  // Tarjan: files that reach one another.
  const [index, low] = [new Map<string, number>(), new Map<string, number>()];
  const stack: string[] = [];
  const onStack = new Set<string>();
  const circles: string[][] = [];
  const visit = (file: string) => {
    index.set(file, index.size);
    low.set(file, index.get(file)!);
    stack.push(file);
    onStack.add(file);
    for (const target of next.get(file) ?? []) {
      if (!index.has(target)) visit(target);
      if (onStack.has(target)) low.set(file, Math.min(low.get(file)!, low.get(target)!));
    }
    if (low.get(file) !== index.get(file)) return;
    const circle: string[] = [];
    for (let one = ''; one !== file;) {
      one = stack.pop()!;
      onStack.delete(one);
      circle.push(one);
    }
    if (circle.length > 1) circles.push(circle.sort());
  };
  for (const file of files) if (!index.has(file)) visit(file);
  return circles;
}
