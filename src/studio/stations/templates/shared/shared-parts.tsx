import X from 'lucide-react/icons/x';
import { count } from '../../../../core/base';
import { edits, type Project, sharedUses } from '../../../../core/project';
import { Button, Heading } from '../../../shared/controls/controls';
import { Renamed } from '../../../shared/controls/renamed';
import { make, whyNot } from '../../../shared/session/editing';

/** The parts that the project keeps, and how many use them. */
export function SharedParts({ project }: { readonly project: Project }) {
  const { sharedParts = [] } = project;
  return (
    <section aria-label="Shared parts" className="pt-3">
      <Heading>Shared parts</Heading>
      {sharedParts.length === 0 && (
        <p className="text-ash">None yet: select a part of a template and press Share.</p>
      )}
      <ul>
        {sharedParts.map(({ id, name, inputs }) => {
          const uses = sharedUses(project, id);
          const remove = edits.removeShared(id);
          const why = whyNot(remove);
          return (
            <li key={id} className="flex items-center gap-3 border-t border-rule py-1">
              <Renamed
                label={`Name of the shared part ${name}`}
                words={name}
                onRename={(next) => make(edits.renameShared(id, next))}
              />
              <span className="text-sm text-ash">
                {inputs.map((input) => input.name).join(', ')}
              </span>
              <span className="ms-auto text-sm text-ash">
                {uses === 0 ? 'not used' : count(uses, 'use')}
              </span>
              <Button
                label={why ?? `Remove the shared part ${name}`}
                isDisabled={why !== undefined}
                onPress={() => make(remove)}
              >
                <X size={14} aria-hidden="true" />
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
