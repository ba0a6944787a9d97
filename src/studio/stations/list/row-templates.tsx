import { allChosen, type List, templatesIn } from '../../../core/lists';
import type { Project } from '../../../core/project';
import { Check } from '../../shared/controls/controls';

interface RowTemplatesProps {
  readonly project: Project;
  readonly list: List;
  readonly label: string;
  /** What stands before them. */
  readonly words?: string;
  /** Ids of those that are chosen. */
  readonly chosen: readonly string[];
  readonly onChoose: (chosen: readonly string[]) => void;
}

/** Some of the templates that the rows of a list have. */
export function RowTemplates({ project, list, label, words, chosen, onChoose }: RowTemplatesProps) {
  const ofRows = new Set(allChosen(list).flatMap(templatesIn));
  return (
    <fieldset aria-label={label} className="flex flex-wrap gap-x-4">
      {words !== undefined && <span className="text-ash">{words}</span>}
      {project.templates
        .filter(({ id }) => ofRows.has(id))
        .map(({ id }) => (
          <Check
            key={id}
            words={id}
            isOn={chosen.includes(id)}
            onChange={(isOn) =>
              onChoose(isOn ? [...chosen, id] : chosen.filter((each) => each !== id))
            }
          />
        ))}
    </fieldset>
  );
}
