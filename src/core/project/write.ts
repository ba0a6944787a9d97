import type { Item } from '../items';
import type { Project } from './project';

/**
 * The project file, piece by piece: two spaces, keys and arrays in the order that they have, the
 * items last and one a line, so that version control shows what changed.
 */
export function* writeProject(
  project: Project,
  items: ReadonlyMap<string, readonly Item[]>,
): Generator<string, void> {
  const head = JSON.stringify(project, null, 2);
  yield head.slice(0, -2);
  yield ',\n  "items": [';
  let isFirstSource = true;
  for (const source of project.sources) {
    const own = items.get(source.id);
    if (own === undefined) continue;
    yield `${isFirstSource ? '' : ','}\n    {\n      "source": ${JSON.stringify(source.id)},\n      "items": [`;
    isFirstSource = false;
    yield* itemLines(own);
    yield `${own.length === 0 ? '' : '\n      '}]\n    }`;
  }
  yield `${isFirstSource ? '' : '\n  '}]\n}\n`;
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
