import type { Finding, Result } from '../../../core/base';
import { draftFromSchema, edits, goesWith, looksLikeProject } from '../../../core/project';
import {
  type ImportSummary,
  type SourceDocument,
  type SourceRead,
  schemaIn,
} from '../../../engine';
import { handItem } from '../session/at-hand';
import { currentNow } from '../session/current';
import { make, refused } from '../session/editing';
import { followSource } from '../session/following';
import { makeForeseen } from '../session/foreseeing';
import { goWithin, useRoute } from '../session/route';
import { engine, showFrame, usedIds, useSession, wantedRange } from '../session/session';
import { bringFonts, isFontFile } from './font-files';
import { bring, documentName } from './opening';
import { bringPictures, isPictureFile } from './picture-files';

/** Files were dropped, pasted or chosen: pictures and fonts join the project that is open, of others the first counts. */
export async function arriveFiles(files: readonly File[]): Promise<void> {
  const [first] = files;
  if (first === undefined) return;
  if (isInProject() && (await isPictureFile(first))) await bringPictures(files);
  else if (isInProject() && (await isFontFile(first))) await bringFonts(files);
  else await arrive({ file: first, name: first.name });
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
  if (isOpen && !isProject) useSession.setState({ arrived: document, notice: undefined });
  else await bring(document);
}

/** The document becomes a source of the project that is open; a schema becomes types to type items for. */
export async function addAsSource(document: SourceDocument): Promise<void> {
  useSession.setState({ arrived: undefined });
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

/** The items of the document take the place of a source's, matched by its key. */
export async function importInto(source: string, document: SourceDocument): Promise<void> {
  useSession.setState({ arrived: undefined });
  if (refused(`Import ${documentName(document)} again`)) return;
  const summary = await reading(document, () => engine().importAgain(source, document));
  if (summary !== undefined) takeImport(source, summary);
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
