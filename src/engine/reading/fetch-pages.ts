import { count, type Finding, failed, type Json, ok, type Result } from '../../core/base';
import { nextPage, type Paging, proposePaging } from '../../core/items';
import { addressFinding } from './ask-address';
import { type Fetched, fetchDocument } from './fetch-document';

const maxPages = 1_000;
const maxBytes = 400_000_000;
/** Longer answers are not looked through for a next page that nobody asked for. */
const shortBytes = 2_000_000;

/** The answers of an address, page after page where it is asked for; one that fails ends them. */
export async function* fetchPages(
  address: string,
  paging: Paging | undefined,
  signal: AbortSignal,
  progress: (share: number) => void,
): AsyncGenerator<Result<Fetched, Finding>, void> {
  const seen = new Set<string>();
  let bytes = 0;
  let page: string | undefined = address;
  while (page !== undefined) {
    seen.add(page);
    const fetched = await fetchDocument(page, signal, progress);
    if (!fetched.ok) return yield fetched;
    bytes += fetched.value.file.size;
    if (bytes > maxBytes || seen.size > maxPages) return yield failed(tooMany(address, seen.size));
    const next = await after(fetched.value, page, paging);
    if (paging === undefined) return yield ok(withHint(fetched.value, next));
    const isLast = next === undefined || seen.has(next);
    if (!isLast && new URL(next).origin !== new URL(address).origin)
      return yield failed(leadsElsewhere(address, next));
    const { next: _, ...own } = fetched.value;
    yield ok({ ...own, ...(!isLast && { next }) });
    if (isLast || paging.waits) return;
    page = next;
  }
}

async function after(
  { file, next }: Fetched,
  page: string,
  paging: Paging | undefined,
): Promise<string | undefined> {
  if (paging === undefined && (next !== undefined || file.size > shortBytes)) return next;
  if (paging !== undefined && paging.next === undefined) return next;
  const root = parsed(await file.text());
  if (root === undefined) return undefined;
  const known = paging ?? proposePaging(root);
  if (known === undefined) return undefined;
  return paging === undefined ? known.next : nextPage(page, root, known);
}

function withHint(fetched: Fetched, next: string | undefined): Fetched {
  if (next === undefined) return fetched;
  const where = next === fetched.next ? 'in its Link header' : `at ${next}`;
  return { ...fetched, findings: [...fetched.findings, hasMore(fetched.name, where)] };
}

function parsed(text: string): Json | undefined {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const hasMore = (address: string, where: string): Finding => ({
  ...addressFinding(
    'address-has-pages',
    address,
    `${address} is one page of several: ${where} it says what comes next.`,
    'Under “Fetching”, have its pages followed.',
  ),
  severity: 'warning',
});

const tooMany = (address: string, pages: number): Finding =>
  addressFinding(
    'address-too-many-pages',
    address,
    `${address} goes on after ${count(pages, 'page')}; ${maxPages} pages or ${maxBytes / 1e6} MB are the most.`,
    'Ask it for fewer items, or for more of them on each page.',
  );

const leadsElsewhere = (address: string, next: string): Finding =>
  addressFinding(
    'address-pages-elsewhere',
    address,
    `${address} names a next page on another server, ${new URL(next).host}, which was not asked.`,
    'Fetch from that server’s address in the first place.',
  );
