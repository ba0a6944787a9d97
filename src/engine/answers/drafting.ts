import { compileFor, draftsFor, withId } from '../../core/project';
import type { Scene, TriedDraft } from '../scene';

/** So many items show what fields are; so many are drawn. */
const sampleCount = 60;
const drawnCount = 3;

/** Rows and a card that a type's items may have, each drawn with some of them; none: there is no such type. */
export function tryDrafts(scene: Scene, type: string): readonly TriedDraft[] {
  const { project } = scene;
  const own = withId(project?.types ?? [], type);
  if (project === undefined || own === undefined) return [];
  const positions = scene.itemsOfType(type, sampleCount);
  const items = scene.shownItems();
  const sample = positions.map((at) => items[at] ?? {});
  return draftsFor(project, own, sample).map((draft) => {
    const formats = [...(project.formats ?? []), ...draft.formats];
    const template = { id: `${type}-draft`, name: draft.name, type, row: draft.row };
    const around = { ...project, formats };
    const compiled = compileFor(around, template, scene.lookUp, scene.localeNow());
    return { draft, tried: scene.tryCompiled(compiled, positions.slice(0, drawnCount)) };
  });
}
