import { isRecord, type Json, type JsonRecord, ownValue } from '../../base';
import { queryJson } from './json/json-path';

/** Where an answer says what page comes after it. */
export interface Paging {
  /** JSONPath of the next page's address or mark; undefined: the `Link` header with `rel="next"` (RFC 8288). */
  readonly next?: string;
  /** The parameter of the address that takes the mark; undefined: what stands there is an address. */
  readonly parameter?: string;
  /** Only the first is asked for at once; each next one when a list comes near its end. */
  readonly waits?: true;
}

const nextName = /^next(?:_?(?:page|cursor|token|url|link|href))?$|^cursor$/i;
const aroundName = /^_?(?:links?|meta|metadata|paging|pagination|page|cursor)$/i;

/** Where a document seems to say what comes after it: at its top, or in a record that tells of pages. */
export function proposePaging(root: Json): Paging | undefined {
  if (!isRecord(root)) return undefined;
  const around = Object.keys(root).filter((name) => aroundName.test(name));
  for (const place of [undefined, ...around]) {
    const record = place === undefined ? root : ownValue(root, place);
    const found = isRecord(record) ? nextIn(record) : undefined;
    if (found === undefined) continue;
    const next = ['$', place, found.name].filter((name) => name !== undefined).join('.');
    return isAddress(found.mark) ? { next } : { next, parameter: found.name };
  }
  return undefined;
}

function nextIn(record: JsonRecord): { name: string; mark: string } | undefined {
  for (const name of Object.keys(record)) {
    const mark = nextName.test(name) ? markIn(ownValue(record, name)) : undefined;
    if (mark !== undefined) return { name, mark };
  }
  return undefined;
}

/** The address of the page after one, by what its document says; undefined: it is the last. */
export async function nextPage(
  page: string,
  root: Json,
  { next = '$', parameter }: Paging,
): Promise<string | undefined> {
  const found = await queryJson(next, root);
  const mark = found.ok ? markIn(found.value[0]?.value) : undefined;
  if (mark === undefined) return undefined;
  if (parameter === undefined)
    return URL.canParse(mark, page) ? new URL(mark, page).href : undefined;
  const url = new URL(page);
  url.searchParams.set(parameter, mark);
  return url.href;
}

/** Links stand bare or as a record's `href`. */
function markIn(value: Json | undefined): string | undefined {
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') return value === '' ? undefined : value;
  return isRecord(value) ? markIn(ownValue(value, 'href')) : undefined;
}

const isAddress = (mark: string): boolean => /^(?:https?:)?\/|^\?/.test(mark);
