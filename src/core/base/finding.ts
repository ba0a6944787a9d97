import { clipped } from './clip';

/** error: something cannot be shown. warning: something is probably not meant. note: good to know. */
export type Severity = 'error' | 'warning' | 'note';

/** Where a finding is. Lines and columns count from 1, items and offsets in an expression from 0. */
export type Place =
  | {
      readonly in: 'document';
      readonly file: string;
      readonly line?: number;
      readonly column?: number;
    }
  | {
      readonly in: 'items';
      readonly source: string;
      readonly field?: string;
      readonly item?: number;
    }
  | { readonly in: 'project'; readonly path: string }
  | { readonly in: 'expression'; readonly from: number; readonly to: number }
  | {
      readonly in: 'part';
      readonly template: string;
      readonly part: string;
      readonly property: string;
      readonly from: number;
      readonly to: number;
      /** The first item that it concerns, where it is about some of them. */
      readonly item?: number;
    };

/** One press that puts it right: the text from `from` to `to` of the expression becomes `text`. */
export interface Mend {
  readonly label: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** The one shape for whatever the tool noticed or a person got wrong. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly place: Place;
  readonly message: string;
  readonly hint: string;
  readonly mend?: Mend;
}

/** `skeins.json:3:17`, `stock, item 12, field "id"` and the like, for messages in plain text. */
export const placeInWords = (place: Place): string => clipped(wholePlace(place));

function wholePlace(place: Place): string {
  switch (place.in) {
    case 'document':
      return [place.file, place.line, place.column].filter((part) => part !== undefined).join(':');
    case 'items':
      return [
        place.source,
        place.item === undefined ? '' : `item ${place.item + 1}`,
        place.field === undefined ? '' : `field "${place.field}"`,
      ]
        .filter((part) => part !== '')
        .join(', ');
    case 'project':
      return place.path;
    case 'expression':
      return `column ${place.from + 1}`;
    case 'part':
      return `${place.template}, ${place.part}, ${place.property}`;
  }
}

/** What was noticed while reading and again in the project is one finding; the first words for it stay. */
export function findingsOnce(findings: readonly Finding[]): readonly Finding[] {
  const seen = new Map<string, Finding>();
  for (const finding of findings) {
    const { code, place } = finding;
    const where = place.in === 'items' ? { field: place.field, item: place.item } : place;
    const key = JSON.stringify([code, where]);
    if (!seen.has(key)) seen.set(key, finding);
  }
  return [...seen.values()];
}
