import { PLACEMENT_LABELS, PLACEMENTS, targetForm } from '../structure';
import type { Place, Target, TreeIndex } from '../structure';
import type { GrainSums, LensRow } from './lensRow';
import type { KnownTerm } from './knownTerms';
import { lensNamed } from './lens';
import type { LensName } from './lens';

/** A lens's rows, and which of them a row of the sums belongs to (-1: none). */
interface Rows {
  rows: LensRow[];
  rowOf: (at: number) => number;
}

/** What the rows of a lens are, from the account's tree. */
export function rowsOfLens(
  lens: LensName,
  index: TreeIndex,
  sums: GrainSums,
  terms: ReadonlyMap<number, KnownTerm>,
): Rows {
  const { entity, shows } = lensNamed(lens);
  switch (entity) {
    case 'term':
      return termRows(index, sums, terms);
    case 'placement':
      return placementRows(index, sums);
    case 'campaign':
      return byPlace(index, sums, campaignRows(index), (place) => place.campaignId);
    case 'ad-group':
      return byPlace(index, sums, adGroupRows(index), (place) => place.adGroupId);
    case 'product':
      return byPlace(index, sums, productRows(index), (place) => place.productId);
    case 'target':
      return byPlace(index, sums, targetRows(index, shows!), (place) => place.targetId);
  }
}

/** Rows by the id of what they are, found through the place of each sum's ad group or target. */
function byPlace(
  index: TreeIndex,
  { adGroupId, targetId }: GrainSums,
  byId: Map<number, LensRow>,
  idOf: (place: Place) => number,
): Rows {
  const at = new Map([...byId.keys()].map((id, row) => [id, row]));
  const placeOf = adGroupId
    ? (from: number) => index.placeOfAdGroup(adGroupId[from])
    : (from: number) => index.placeOfTarget(targetId![from]);
  return { rows: [...byId.values()], rowOf: (from) => at.get(idOf(placeOf(from))) ?? -1 };
}

const PLAIN = { kind: '', part: 0, isInherited: false, isStoppedAbove: false } as const;

function targetRows(index: TreeIndex, shows: (target: Target) => boolean): Map<number, LensRow> {
  const rows = new Map<number, LensRow>();
  const homes = new Map<number, Home>();
  for (const target of index.tree.targets) {
    if (!shows(target)) continue;
    let home = homes.get(target.adGroupId);
    if (!home) homes.set(target.adGroupId, (home = homeOf(index, target.adGroupId)));
    rows.set(target.id, targetRow(index, target, home));
  }
  return rows;
}

/** What all targets of an ad group share: worked out once, not for each of a hundred thousand. */
interface Home {
  at: Place;
  place: string;
  isStoppedAbove: boolean;
  defaultBid: number | null;
}

function homeOf(index: TreeIndex, adGroupId: number): Home {
  const at = index.placeOfAdGroup(adGroupId);
  return {
    at,
    place: placeName(index, at),
    isStoppedAbove: isStoppedAbove(index, at),
    defaultBid: index.adGroups.get(adGroupId)?.defaultBid ?? null,
  };
}

function targetRow(
  index: TreeIndex,
  target: Target,
  { at, place, isStoppedAbove: held, defaultBid }: Home,
): LensRow {
  const { adGroupId, campaignId, productId, lineId } = at;
  return {
    name:
      target.kind === 'unknown' && target.expression === '' ? 'not named by the report' : target.expression,
    place,
    kind: targetForm(target),
    state: target.state,
    isStoppedAbove: held,
    at: { targetId: target.id, adGroupId, campaignId, productId, lineId },
    part: 0,
    value: target.bid ?? defaultBid,
    isInherited: target.bid === null,
    changedOn: index.changedOn('target', target.id),
  };
}

function isStoppedAbove(index: TreeIndex, at: Place): boolean {
  const above = [index.campaigns.get(at.campaignId)?.state, index.adGroups.get(at.adGroupId)?.state];
  return above.some((state) => state !== undefined && state !== 'enabled');
}

function placeName(index: TreeIndex, { campaignId, adGroupId }: Place): string {
  const campaign = index.campaigns.get(campaignId)?.name ?? '';
  const adGroup = index.adGroups.get(adGroupId)?.name;
  return adGroup === undefined ? campaign : `${campaign} › ${adGroup}`;
}

function termRows(
  index: TreeIndex,
  { size, targetId, termId }: GrainSums,
  terms: ReadonlyMap<number, KnownTerm>,
): Rows {
  const rows: LensRow[] = [];
  const known = new Map<number, LensRow>();
  for (let from = 0; from < size; from += 1) {
    const id = targetId![from];
    let caught = known.get(id);
    if (!caught) {
      const target = index.targets.get(id);
      const at = index.placeOfTarget(id);
      caught = {
        ...PLAIN,
        name: '',
        place: placeName(index, at),
        kind: target ? targetForm(target) : '',
        state: 'enabled',
        at,
        value: null,
        changedOn: undefined,
      };
      known.set(id, caught);
    }
    const term = terms.get(termId![from]);
    rows.push({ ...caught, name: term?.text ?? '', term, part: termId![from] });
  }
  return { rows, rowOf: (from) => from };
}

function placementRows(index: TreeIndex, { size, campaignId, placement }: GrainSums): Rows {
  const rows: LensRow[] = [];
  for (let from = 0; from < size; from += 1) {
    const campaign = index.campaigns.get(campaignId![from]);
    const which = PLACEMENTS[placement![from]];
    rows.push({
      ...PLAIN,
      name: PLACEMENT_LABELS[which],
      place: campaign?.name ?? '',
      kind: PLACEMENT_LABELS[which],
      state: campaign?.state ?? 'enabled',
      at: index.placeOfCampaign(campaignId![from]),
      // The placement takes the room of a target's id: a row is told apart by campaign and placement.
      part: placement![from],
      value: campaign && campaign.modifiersKnown !== false ? campaign[which] : null,
      changedOn: index.changedOn('campaign', campaignId![from]),
    });
  }
  return { rows, rowOf: (from) => from };
}

function campaignRows(index: TreeIndex): Map<number, LensRow> {
  const row = ({ id, name, state, budget, flex }: TreeIndex['tree']['campaigns'][number]): LensRow => {
    const at = index.placeOfCampaign(id);
    return {
      ...PLAIN,
      name,
      place: index.products.get(at.productId)?.name ?? '',
      kind: flex ?? '',
      state,
      at,
      value: budget,
      changedOn: index.changedOn('campaign', id),
    };
  };
  return new Map(index.tree.campaigns.map((one) => [one.id, row(one)]));
}

function adGroupRows(index: TreeIndex): Map<number, LensRow> {
  const row = ({
    id,
    campaignId,
    name,
    state,
    defaultBid,
  }: TreeIndex['tree']['adGroups'][number]): LensRow => {
    const campaign = index.campaigns.get(campaignId);
    return {
      ...PLAIN,
      name,
      place: campaign?.name ?? '',
      state,
      isStoppedAbove: campaign !== undefined && campaign.state !== 'enabled',
      at: index.placeOfAdGroup(id),
      value: defaultBid,
      changedOn: index.changedOn('ad-group', id),
    };
  };
  return new Map(index.tree.adGroups.map((one) => [one.id, row(one)]));
}

function productRows(index: TreeIndex): Map<number, LensRow> {
  const row = ({ id, name, lineId, price }: TreeIndex['tree']['products'][number]): LensRow => ({
    ...PLAIN,
    name,
    place: index.lines.get(lineId ?? 0) ?? '',
    state: 'enabled',
    at: index.placeOfProduct(id),
    value: price,
    changedOn: undefined,
  });
  return new Map(index.tree.products.map((one) => [one.id, row(one)]));
}
