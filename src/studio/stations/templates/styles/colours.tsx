import Plus from 'lucide-react/icons/plus';
import X from 'lucide-react/icons/x';
import { count, freeId } from '../../../../core/base';
import { coloursOf, edits, type Project, stylesOf, usesOfName } from '../../../../core/project';
import type { Colour } from '../../../../core/templates';
import { Button, Heading } from '../../../shared/controls/controls';
import { Renamed } from '../../../shared/controls/renamed';
import { make, whyNot } from '../../../shared/session/editing';

/** The project's colours: each for both schemes, changed in one place. */
export function Colours({ project }: { readonly project: Project }) {
  const colours = coloursOf(project);
  const [last] = colours.slice(-1);
  return (
    <section aria-label="Colours">
      <Heading>Colours</Heading>
      <table className="border-collapse">
        <thead>
          <tr className="text-start text-sm text-ash">
            <th className="pe-4 text-start font-normal">name</th>
            <th className="pe-4 text-start font-normal">light</th>
            <th className="pe-4 text-start font-normal">dark</th>
            <th className="pe-4 text-start font-normal">named by</th>
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {colours.map((colour) => (
            <ColourLine key={colour.name} {...{ project, colour }} />
          ))}
        </tbody>
      </table>
      <div className="py-2">
        <Button onPress={() => last !== undefined && addLike(last, colours)}>
          <Plus size={14} aria-hidden="true" /> New colour
        </Button>
      </div>
    </section>
  );
}

interface ColourLineProps {
  readonly project: Project;
  readonly colour: Colour;
}

function ColourLine({ project, colour }: ColourLineProps) {
  const { name } = colour;
  const partCount = usesOfName(project, 'colour', name).length;
  const styleCount = stylesOf(project).filter((style) => style.colour === name).length;
  const remove = edits.removeColour(name);
  const why = whyNot(remove);
  return (
    <tr className="border-t border-rule">
      <td className="pe-4">
        <Renamed
          label={`Name of the colour ${name}`}
          words={name}
          onRename={(next) => make(edits.renameColour(name, next))}
        />
      </td>
      {(['light', 'dark'] as const).map((scheme) => (
        <td key={scheme} className="py-1 pe-4">
          <label className="flex items-center gap-1.5 text-sm tabular-nums">
            <input
              type="color"
              aria-label={`${name}, ${scheme}`}
              className="size-7 rounded border border-rule bg-paper p-0.5"
              value={colour[scheme].slice(0, 7)}
              onChange={({ target }) =>
                make(
                  edits.changeColour(name, { [scheme]: target.value }, `colour ${name} ${scheme}`),
                )
              }
            />
            {colour[scheme]}
          </label>
        </td>
      ))}
      <td className="pe-4 text-sm text-ash">
        {count(partCount, 'part')}, {count(styleCount, 'style')}
      </td>
      <td>
        <Button
          label={why ?? `Remove colour ${name}`}
          isDisabled={why !== undefined}
          onPress={() => make(remove)}
        >
          <X size={14} aria-hidden="true" />
        </Button>
      </td>
    </tr>
  );
}

function addLike(colour: Colour, colours: readonly Colour[]): void {
  const name = freeId(
    'colour',
    colours.map((each) => each.name),
  );
  make(edits.addColour({ ...colour, name }));
}
