import { type Finding, freeId, type Result, slug } from '../../../core/base';
import {
  draftFromSchema,
  edits,
  goesWith,
  looksLikeProject,
  type Source,
} from '../../../core/project';
import {
  type ImportHow,
  type ImportSummary,
  type SourceDocument,
  type SourceRead,
  schemaIn,
} from '../../../engine';
import { handItem } from '../session/at-hand';
import { currentNow } from '../session/current';
import { changeItems, make, refused } from '../session/editing';
import { followSource } from '../session/following';
import { makeForeseen } from '../session/foreseeing';
import { goWithin, useRoute } from '../session/route';
import { engine, showFrame, usedIds, useSession, wantedRange } from '../session/session';
import { bringFonts, isFontFile } from './font-files';
import { bring, documentName } from './opening';
import { bringPictures, isPictureFile } from './picture-files';

/**
 * Files were dropped, pasted or chosen: pictures and fonts join the project that is open. On the start
 * page the first of the others is opened, a project before all; of what is left it is asked what becomes.
 */
export async function arriveFiles(files: readonly File[]): Promise<void> {
  const kinds = await Promise.all(files.map(kindOf));
  const ofKind = (kind: FileKind) => files.filter((_, at) => kinds[at] === kind);
  const items = [...ofKind('project'), ...ofKind('items')];
  // What cannot be opened is said.
  const others = items.length === 0 && !isInProject() ? files : items;
  const rest = others.map((file) => ({ file, name: file.name }));
  // Of several, one that cannot be read leaves its place to the next.
  let trouble: Finding | undefined;
  do {
    const first = rest.shift();
    if (first !== undefined) await arrive(first);
    if (!isInProject()) trouble ??= useSession.getState().notice;
  } while (!isInProject() && rest.length > 0);
  // What was wrong with it is said all the same.
  if (trouble !== undefined) useSession.setState({ notice: trouble });
  if (isInProject()) {
    if (ofKind('picture').length > 0) await bringPictures(ofKind('picture'));
    if (ofKind('font').length > 0) await bringFonts(ofKind('font'));
  }
  if (rest.length > 0 && isInProject())
    useSession.setState(({ arrived }) => ({ arrived: [...arrived, ...rest] }));
}

type FileKind = 'picture' | 'font' | 'project' | 'items';

async function kindOf(file: File): Promise<FileKind> {
  if (await isPictureFile(file)) return 'picture';
  if (await isFontFile(file)) return 'font';
  return looksLikeProject(await file.slice(0, 200).text()) ? 'project' : 'items';
}

/** On the start page a project may be open for a moment, while the demo is put among the kept ones. */
const isInProject = (): boolean =>
  useRoute.getState().route.page === 'project' && currentNow() !== undefined;

export const isAddress = (text: string): boolean => /^https?:\/\/\S+$/.test(text.trim());

/** Words that were pasted or typed: items, or the address to fetch them from. */
export const documentOf = (text: string, name: 'pasted' | 'typed'): SourceDocument =>
  isAddress(text) ? { address: text.trim() } : { file: new Blob([text]), name };

/**
 * Something was dropped, chosen or pasted. On the start page it is opened; with a project open,
 * a person says what becomes of it, and a project file is opened all the same.
 */
export async function arrive(document: SourceDocument): Promise<void> {
  const isOpen = isInProject();
  const isProject =
    'file' in document && looksLikeProject(await document.file.slice(0, 200).text());
  if (isOpen && !isProject)
    useSession.setState(({ arrived }) => ({ arrived: [...arrived, document], notice: undefined }));
  else await bring(document);
}

/** The document becomes a source of the project that is open; a schema becomes types to type items for. */
export async function addAsSource(document: SourceDocument): Promise<void> {
  answered(document);
  if (refused(`Add ${documentName(document)}`) || (await addFromSchema(document))) return;
  const brought = await reading(document, () => engine().bringSource(document, usedIds()));
  if (brought !== undefined) addBrought(brought);
}

function addBrought(brought: SourceRead): void {
  if (make(edits.addSource(brought.draft)) === undefined) sourceTaken(brought);
}

function sourceTaken({ draft, findings }: SourceRead): void {
  useSession.setState({ readFindings: findings });
  if (draft.source.from.follow !== undefined) followSource(draft.source.id);
  goWithin({ station: 'data', source: draft.source.id, field: undefined, item: 0 });
}

async function addFromSchema(document: SourceDocument): Promise<boolean> {
  const { history } = useSession.getState();
  if (history === undefined || !('file' in document)) return false;
  const schema = await schemaIn(document.file, document.name);
  if (schema === undefined) return false;
  if (!schema.ok) {
    useSession.setState({ notice: schema.error });
    return true;
  }
  const draft = draftFromSchema(history.used, document.name, schema.value);
  addBrought({ draft, findings: [], itemCount: 0 });
  return true;
}

/** It was said what becomes of a document: the next one is asked about. */
export const answered = (document: SourceDocument): void =>
  useSession.setState(({ arrived }) => ({ arrived: arrived.filter((each) => each !== document) }));

/**
 * The items of the document take the place of a source's, matched by its key. Where most of them would
 * go, a person is asked what becomes of them.
 */
export async function importInto(
  source: string,
  document: SourceDocument,
  how: ImportHow = 'ask',
): Promise<void> {
  answered(document);
  useSession.setState({ doubted: undefined });
  if (refused(`Import ${documentName(document)} again`)) return;
  const summary = await reading(document, () => engine().importAgain(source, document, how));
  if (summary?.isAsked === true) useSession.setState({ doubted: { source, document, summary } });
  else if (summary !== undefined) takeImport(source, summary);
}

/** The items of the document become another set of a source. */
export async function bringAsSet(source: string, document: SourceDocument): Promise<void> {
  const name = documentName(document);
  const set = freeSetId(source, name);
  if (refused(`Add set ${name}`)) return;
  const revision = await reading(document, () => engine().bringSet(source, set, document));
  // Of other types it can still become something else.
  if (revision === undefined) return;
  answered(document);
  if (make(edits.addSet(source, set, name, revision)) === undefined) await showSet(source, set);
}

/** The items that another source has now, in the place of a source's own. */
export async function showItemsOf(source: string, other: Source): Promise<void> {
  const set = freeSetId(source, other.id);
  const isMade = await changeItems(
    source,
    `Show items of ${other.name}`,
    () => engine().setFrom(source, set, other.id),
    (revision) => edits.addSet(source, set, other.name, revision),
  );
  if (isMade) await showSet(source, set);
}

function freeSetId(source: string, name: string): string {
  const sets = currentNow()?.project.sources.find(({ id }) => id === source)?.sets ?? [];
  return freeId(
    slug(name),
    sets.map(({ id }) => id),
  );
}

function takeImport(source: string, summary: ImportSummary, name?: string): void {
  const { revision, from, found } = summary;
  const edit = edits.importAgain(source, { revision, from, found });
  const before = useSession.getState().history?.project.sources.find(({ id }) => id === source);
  const isSame = revision === undefined && before?.from.at === from.at;
  if (!isSame && make(name === undefined ? edit : { ...edit, name }) !== undefined) return;
  useSession.setState({ imported: { source, summary }, readFindings: summary.findings });
  goWithin({ station: 'data', source });
}

/**
 * The same document at another place in it. Items of the types that the source has take the place
 * of those before; for others the source is made anew, once it was said what goes with it.
 */
export async function readAt(source: string, at: string): Promise<void> {
  if (refused(`Read ${at}`)) return;
  const read = await reading(undefined, () => engine().readAt(source, at, usedIds()));
  if (read === undefined) return;
  if (read.kind === 'known') return takeImport(source, read.summary, `Read ${source} at ${at}`);
  const edit = edits.replaceSource(source, read.brought.draft);
  const { history } = useSession.getState();
  const goes = history === undefined ? [] : goesWith(history.project, source);
  makeForeseen(edit, () => sourceTaken(read.brought), goes);
}

/** Shows another set of a source, in every station. */
export async function showSet(source: string, set: string): Promise<void> {
  useSession.setState(({ sets }) => ({ sets: { ...sets, [source]: set } }));
  const view = await engine().showSet(source, set, wantedRange());
  showFrame(view);
  await handItem(0);
}

/** Runs a reading that says how far it is; what went wrong is said on the page. */
async function reading<T>(
  document: SourceDocument | undefined,
  work: () => Promise<Result<T, Finding>>,
): Promise<T | undefined> {
  const file = document === undefined ? 'the document' : documentName(document);
  useSession.setState({ reading: { file, share: 0 }, notice: undefined });
  const result = await work().finally(() => useSession.setState({ reading: undefined }));
  if (result.ok) return result.value;
  useSession.setState({ notice: result.error });
  return undefined;
}
