import type { TargetColumns } from '../structure';

type Column = Int32Array | Float64Array;

/**
 * Columns of sums by target, added up by the ad groups that the targets stand in. Of targets that are not known nothing is known to add.
 * @param columns equally long, with `targetId` among them; in the answer `adGroupId` stands in its place
 */
export function sumsByAdGroup(
  { targetId, ...columns }: Record<string, Column>,
  { id, adGroupId }: Pick<TargetColumns, 'id' | 'adGroupId'>,
): Record<string, Column> {
  const adGroupOf = new Map<number, number>();
  for (let at = 0; at < id.length; at += 1) adGroupOf.set(id[at], adGroupId[at]);
  const places = new Map<number, number>();
  const to = new Int32Array(targetId.length);
  for (let from = 0; from < to.length; from += 1) {
    const adGroup = adGroupOf.get(targetId[from]);
    if (adGroup !== undefined && !places.has(adGroup)) places.set(adGroup, places.size);
    to[from] = adGroup === undefined ? -1 : places.get(adGroup)!;
  }
  const summed = Object.entries(columns).map(([name, column]): [string, Float64Array] => {
    const sums = new Float64Array(places.size);
    for (let from = 0; from < to.length; from += 1) if (to[from] >= 0) sums[to[from]] += column[from];
    return [name, sums];
  });
  return { adGroupId: Int32Array.from(places.keys()), ...Object.fromEntries(summed) };
}
