import { clipped, type Finding } from '../../base';
import { compareFindings, type FirstRow, type PartDiffers } from './findings';
import type { ActualEntry, ActualPart, RowsRead } from './read';

/** How rows are held against those that are expected. */
export interface Comparing {
  /** The name of the file with the rows that are compared. */
  readonly file: string;
  /** By how many CSS px boxes may differ. */
  readonly tolerancePx: number;
}

/** What came of it. */
export interface Compared {
  readonly findings: readonly Finding[];
  /** Rows that are there on both sides. */
  readonly rowCount: number;
  /** Whether the actual rows say any boxes. */
  readonly hasBoxes: boolean;
}

type Kind =
  | 'otherTemplate'
  | 'partMissing'
  | 'partUnexpected'
  | 'otherWords'
  | 'otherBox'
  | 'otherLines';

/** Holds rows against expected ones: words exactly, boxes where both say them. What differs alike is one finding. */
export function compareRows(
  expected: RowsRead,
  actual: RowsRead,
  { file, tolerancePx }: Comparing,
): Compared {
  const wanted = byPlace(expected.entries);
  const drawn = byPlace(actual.entries);
  const differences = new Differences();
  let rowCount = 0;
  for (const [place, entry] of wanted) {
    const own = drawn.get(place);
    if (own === undefined) continue;
    rowCount += 1;
    compareEntry(entry, own, tolerancePx, differences);
  }
  const missing = [...wanted].filter(([place]) => !drawn.has(place));
  const more = [...drawn].filter(([place]) => !wanted.has(place));
  const findings = [
    ...firstOf(missing).map((first) => compareFindings.rowsMissing(file, missing.length, first)),
    ...firstOf(more).map((first) => compareFindings.rowsUnexpected(file, more.length, first)),
    ...differences.all().map(([kind, differs]) => compareFindings[kind](file, differs)),
  ];
  const hasBoxes = actual.entries.some(({ box, parts }) =>
    [box, ...parts.map((part) => part.box)].some((each) => each !== undefined),
  );
  return { findings, rowCount, hasBoxes };
}

const firstOf = (entries: readonly (readonly [string, FirstRow])[]): readonly FirstRow[] =>
  entries.slice(0, 1).map(([, entry]) => entry);

/** Entries of one kind and key follow each other: headings of the same words, say. */
function byPlace(entries: readonly ActualEntry[]): ReadonlyMap<string, ActualEntry> {
  const places = new Map<string, ActualEntry>();
  const counts = new Map<string, number>();
  for (const entry of entries) {
    const name = JSON.stringify([entry.setting, entry.entry, entry.key]);
    const n = counts.get(name) ?? 0;
    counts.set(name, n + 1);
    places.set(`${name} ${n}`, entry);
  }
  return places;
}

/** Differences by what differs, and where in rows of which template. */
class Differences {
  private readonly found = new Map<string, readonly [Kind, PartDiffers]>();

  add(kind: Kind, differs: Omit<PartDiffers, 'rowCount'>): void {
    const name = JSON.stringify([kind, differs.template, differs.part]);
    const [, known] = this.found.get(name) ?? [];
    this.found.set(name, [
      kind,
      known === undefined
        ? { ...differs, rowCount: 1 }
        : { ...known, rowCount: known.rowCount + 1 },
    ]);
  }

  all(): readonly (readonly [Kind, PartDiffers])[] {
    return [...this.found.values()];
  }
}

function compareEntry(
  expected: ActualEntry,
  actual: ActualEntry,
  tolerancePx: number,
  differences: Differences,
): void {
  const { setting, entry, key, template = '' } = expected;
  const at = (part: string) => ({ template, part, first: { setting, entry, key } });
  if (actual.template !== undefined && actual.template !== template) {
    const said = { expected: template, actual: actual.template };
    differences.add('otherTemplate', { ...at(''), ...said });
    return;
  }
  compareBoxes(expected.box, actual.box, tolerancePx, (said) =>
    differences.add('otherBox', { ...at('the row'), ...said }),
  );
  const drawn = new Map(actual.parts.map((part) => [part.part, part]));
  for (const part of expected.parts) {
    const own = drawn.get(part.part);
    drawn.delete(part.part);
    if (own !== undefined) comparePart(part, own, tolerancePx, { at: at(part.part), differences });
    // What only holds others may be no part of its own elsewhere.
    else if (saysAnything(part))
      differences.add('partMissing', {
        ...at(part.part),
        ...{ expected: clipped(shownWords(part)), actual: '' },
      });
  }
  for (const part of drawn.values())
    if (saysAnything(part))
      differences.add('partUnexpected', { ...at(part.part), expected: '', actual: '' });
}

interface Told {
  readonly at: Omit<PartDiffers, 'rowCount' | 'expected' | 'actual'>;
  readonly differences: Differences;
}

function comparePart(
  expected: ActualPart,
  actual: ActualPart,
  tolerancePx: number,
  { at, differences }: Told,
): void {
  const [wanted, own] = [shownWords(expected), shownWords(actual)];
  if (wanted !== own)
    differences.add('otherWords', { ...at, expected: clipped(wanted), actual: clipped(own) });
  if (actual.lines !== undefined && expected.lines !== actual.lines) {
    const said = { expected: String(expected.lines ?? 0), actual: String(actual.lines) };
    differences.add('otherLines', { ...at, ...said });
  }
  compareBoxes(expected.box, actual.box, tolerancePx, (said) =>
    differences.add('otherBox', { ...at, ...said }),
  );
}

function compareBoxes(
  expected: readonly number[] | undefined,
  actual: readonly number[] | undefined,
  tolerancePx: number,
  tell: (said: Pick<PartDiffers, 'expected' | 'actual'>) => void,
): void {
  if (expected === undefined || actual === undefined) return;
  const isOff = expected.some(
    (px, at) => !(Math.abs(px - (actual[at] ?? Number.NaN)) <= tolerancePx),
  );
  if (isOff) tell({ expected: expected.join(' '), actual: actual.join(' ') });
}

const saysAnything = ({ text, shows }: ActualPart): boolean =>
  text !== undefined || shows !== undefined;

function shownWords({ text, shows = {} }: ActualPart): string {
  const others = Object.entries(shows).sort(([one], [other]) => (one < other ? -1 : 1));
  const said = [
    ...(text === undefined ? [] : [JSON.stringify(text)]),
    ...others.map(([name, value]) => `${name} ${JSON.stringify(value)}`),
  ];
  return said.length === 0 ? 'nothing' : said.join(', ');
}
