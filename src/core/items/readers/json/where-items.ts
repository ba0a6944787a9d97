import { isRecord, type Json, type JsonRecord, ownValue } from '../../../base';
import { listPath, type PathStep } from '../../json/scan';

/** Where a document may hold items: values of a list, or of a record by their names. */
interface Place {
  readonly path: readonly PathStep[];
  readonly count: number;
  /** How many plain values stand in it. */
  readonly leafCount: number;
  /** Or rows of cells. */
  readonly holdsRecords: boolean;
}

export interface PlaceFound {
  readonly at: string;
  readonly count: number;
}

/** Deeper than that nobody looks for items. */
const deepest = 8;
const maxPlaces = 200;
const maxOffered = 20;
/** What holds so much of a document is what the document is about. */
const mostOfIt = 0.5;
const enoughOfIt = 0.2;
/** So many are no fields of one record: plain values under names, records in a list. */
const many = 20;

/**
 * The list, or the record of alike values, that covers most of a document, and all others, those
 * that cover more first. Undefined: the document is one record, or a plain value.
 */
export function likeliestPlace(
  root: Json,
): { readonly best: PlaceFound; readonly all: readonly PlaceFound[] } | undefined {
  const places: Place[] = [];
  const leafCount = look(root, [], places);
  const holds = (share: number) => (place: Place) => place.leafCount >= share * leafCount;
  const byCover = places.toSorted((one, other) => other.leafCount - one.leafCount);
  const ofRecords = byCover.filter(({ holdsRecords }) => holdsRecords);
  const isSeveral = ({ count }: Place) => count > 1;
  const isMany = ({ count }: Place) => count >= many;
  // The outermost of those that hold most of it; else what holds most of the records.
  const best =
    places.find((place) => place.holdsRecords && isSeveral(place) && holds(mostOfIt)(place)) ??
    ofRecords.find((place) => isMany(place) || (isSeveral(place) && holds(enoughOfIt)(place))) ??
    ofRecords.find(holds(enoughOfIt)) ??
    places.find(holds(mostOfIt));
  if (best === undefined) return undefined;
  const found = ({ path, count }: Place) => ({ at: listPath(path), count });
  return { best: found(best), all: byCover.slice(0, maxOffered).map(found) };
}

/** Gathers the places within a value, outermost first; how many plain values stand in it, one where none does. */
function look(value: Json, path: readonly PathStep[], places: Place[]): number {
  if (typeof value !== 'object' || value === null) return 1;
  if (path.length > deepest || places.length >= maxPlaces) return leavesIn(value);
  const steps: readonly (readonly [PathStep, Json])[] = isRecord(value)
    ? Object.keys(value).map((name) => [name, ownValue(value, name) ?? null])
    : value.map((each, at) => [at, each]);
  const at = places.length;
  const isPlace = holdsItems(value);
  let leafCount = 0;
  // Within one of many items nobody looks for others.
  if (isPlace && steps.length > 1) leafCount = leavesIn(value);
  else for (const [step, each] of steps) leafCount += look(each, [...path, step], places);
  leafCount = Math.max(1, leafCount);
  const holdsRecords =
    steps.every(([, each]) => isRecord(each)) || steps.every(([, each]) => isRowOfCells(each));
  if (isPlace) places.splice(at, 0, { path, count: steps.length, leafCount, holdsRecords });
  return leafCount;
}

/** Whether nothing but lists and records stands in it. */
export const isWithoutValues = (root: Json): boolean =>
  typeof root === 'object' &&
  root !== null &&
  Object.values(root).every((each) => isWithoutValues(each ?? null));

/** Whether lists and records stand in each other on more levels than that. */
export const isDeeper = (value: Json, levels: number): boolean =>
  typeof value === 'object' &&
  value !== null &&
  (levels === 0 || Object.values(value).some((each) => isDeeper(each ?? null, levels - 1)));

function leavesIn(value: Json): number {
  if (typeof value !== 'object' || value === null) return 1;
  let count = 0;
  for (const each of Array.isArray(value) ? value : Object.values(value))
    count += leavesIn(each ?? null);
  return Math.max(1, count);
}

function holdsItems(value: Json): boolean {
  if (!isRecord(value)) return Array.isArray(value) && value.length > 0;
  const values = Object.values(value).map((each) => each ?? null);
  if (values.length >= many && areOfOneKind(values)) return true;
  return values.length > 1 && values.every(isRecord) && areAlike(values);
}

const areOfOneKind = (values: readonly Json[]): boolean =>
  values.every(
    (each) => each !== null && typeof each !== 'object' && typeof each === typeof values[0],
  ) || values.every(isTextOrTexts);

/** A value under a name, with others that stand for the same. */
const isTextOrTexts = (value: Json): boolean =>
  typeof value === 'string' ||
  (Array.isArray(value) && value.length > 0 && value.every((each) => typeof each === 'string'));

/** Shapes and matrices are lists of lists, too; a row has texts among its cells. */
const isRowOfCells = (value: Json): boolean =>
  Array.isArray(value) &&
  value.some((cell) => typeof cell === 'string') &&
  value.every((cell) => typeof cell !== 'object' || cell === null);

/** Whether records have most of their fields in common. */
function areAlike(records: readonly JsonRecord[]): boolean {
  const counts = new Map<string, number>();
  let fieldCount = 0;
  for (const record of records)
    for (const name of Object.keys(record)) {
      counts.set(name, (counts.get(name) ?? 0) + 1);
      fieldCount += 1;
    }
  const usual = [...counts.values()].filter((each) => each > records.length / 2);
  return usual.reduce((sum, each) => sum + each, 0) >= fieldCount / 2 && fieldCount > 0;
}
