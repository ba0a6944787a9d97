import type { Item } from '../../items';
import { contentsFor, type PictureContents } from '../../pictures';
import { contentsNamed, itemsIdOf, ownSet, type Project, type Source } from '../project';

/**
 * The project file, piece by piece: two spaces, keys and arrays in the order that they have, what
 * pictures show, the files of fonts and, last, the items, one a line, so that version control shows what changed.
 */
export function* writeProject(
  project: Project,
  items: ReadonlyMap<string, readonly Item[]>,
  contents: PictureContents = new Map(),
): Generator<string, void> {
  const head = { ...project, sources: project.sources.map(asWritten) };
  const shown = contentsFor(contentsNamed(project), contents);
  const text = JSON.stringify(
    shown.size === 0 ? head : { ...head, contents: Object.fromEntries(shown) },
    null,
    2,
  );
  yield text.slice(0, -2);
  yield ',\n  "items": [';
  let isFirst = true;
  for (const { source, set } of setsOf(project)) {
    const own = items.get(itemsIdOf(source, set));
    if (own === undefined) continue;
    const name = set === ownSet ? '' : `,\n      "set": ${JSON.stringify(set)}`;
    yield `${isFirst ? '' : ','}\n    {\n      "source": ${JSON.stringify(source)}${name},\n      "items": [`;
    isFirst = false;
    yield* itemLines(own);
    yield `${own.length === 0 ? '' : '\n      '}]\n    }`;
  }
  yield `${isFirst ? '' : '\n  '}]\n}\n`;
}

/** Which change to the items a source stands at is of this session only. */
function asWritten({ revision: _, ...source }: Source): Source {
  return source;
}

function* setsOf(project: Project): Generator<{ source: string; set: string }, void> {
  for (const source of project.sources) {
    yield { source: source.id, set: ownSet };
    for (const set of source.sets ?? []) yield { source: source.id, set: set.id };
  }
}

const itemsAPiece = 1_000;

function* itemLines(items: readonly Item[]): Generator<string, void> {
  for (let from = 0; from < items.length; from += itemsAPiece) {
    const lines = items
      .slice(from, from + itemsAPiece)
      .map((item) => `\n        ${JSON.stringify(item)}`);
    yield (from === 0 ? '' : ',') + lines.join(',');
  }
}

export function fileNameOf(project: Project): string {
  const name = project.name
    .replace(/[\p{C}\\/:*?"<>|\s]+/gu, ' ')
    .trim()
    .slice(0, 80);
  return `${name === '' ? 'project' : name}.yarncard.json`;
}
