import { ownValue } from '../../../../core/base';
import { type List, listSources } from '../../../../core/lists';
import { edits, ownSet, type Project, sourcesOfShape, withId } from '../../../../core/project';
import { MenuButton } from '../../../shared/controls/controls';
import { showItemsOf, showSet } from '../../../shared/opening/arrivals';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';

interface SourcesOfProps {
  readonly project: Project;
  readonly list: List;
}

/** Whose items the list shows: those of its source, of another of its sets or of a source like it; and what comes after them. */
export function SourcesOf({ project, list }: SourcesOfProps) {
  const shown = useSession(({ sets }) => ownValue(sets, list.source) ?? ownSet);
  const source = withId(project.sources, list.source);
  if (source === undefined) return null;
  const { more = [] } = list;
  const sets = source.sets ?? [];
  const alike = sourcesOfShape(project, source).filter(
    ({ name }) => !sets.some((set) => set.name === name),
  );
  const others = project.sources.filter(({ id }) => id !== list.source);
  const setName = sets.find(({ id }) => id === shown)?.name;
  const named = (id: string) => withId(project.sources, id)?.name ?? id;
  if (others.length === 0 && sets.length === 0)
    return <span className="ms-auto text-ash">source: {source.name}</span>;
  const own = setName === undefined ? source.name : `${source.name}: ${setName}`;
  return (
    <span className="ms-auto">
      <MenuButton
        label="Sources"
        words={[own, ...listSources(list).slice(1).map(named)].join(', ')}
        entries={[
          {
            words: source.name,
            hint: 'its own',
            isChosen: setName === undefined,
            onChoose: () => void showSet(source.id, ownSet),
          },
          ...sets.map(({ id, name }) => ({
            words: name,
            hint: 'in their place',
            isChosen: id === shown,
            onChoose: () => void showSet(source.id, id),
          })),
          ...alike.map((other) => ({
            words: `Items of ${other.name}`,
            hint: 'in their place',
            onChoose: () => void showItemsOf(source.id, other),
          })),
          ...others.map(({ id, name }) => {
            const isIn = more.includes(id);
            return {
              words: name,
              hint: isIn ? 'comes after' : 'take it in',
              isChosen: isIn,
              onChoose: () =>
                make(
                  edits.takeSources(
                    list.id,
                    isIn ? more.filter((each) => each !== id) : [...more, id],
                  ),
                ),
            };
          }),
        ]}
      />
    </span>
  );
}
