import Plus from 'lucide-react/icons/plus';
import X from 'lucide-react/icons/x';
import { count, freeId } from '../../../../core/base';
import { edits, type Project, sharedUses } from '../../../../core/project';
import type { SharedPart } from '../../../../core/templates';
import { type Field, scalarNames, typeInWords } from '../../../../core/values';
import { Button, Heading, MenuButton } from '../../../shared/controls/controls';
import { Renamed } from '../../../shared/controls/renamed';
import { make } from '../../../shared/session/editing';

interface KeptPartProps {
  readonly project: Project;
  readonly part: SharedPart;
}

/** A shared part as the project keeps it: its name, and the inputs that its expressions read. */
export function KeptPart({ project, part }: KeptPartProps) {
  const uses = sharedUses(project, part.id);
  return (
    <section aria-label={`Shared part ${part.name}`} className="mt-2 border-t border-rule pt-1">
      <Heading>
        For all {count(uses, 'use')} of{' '}
        <Renamed
          label="Name of the shared part"
          words={part.name}
          onRename={(name) => make(edits.renameShared(part.id, name))}
        />
      </Heading>
      <ul>
        {part.inputs.map((input) => (
          <InputLine key={input.name} {...{ part, input }} />
        ))}
      </ul>
      <NewInput part={part} />
    </section>
  );
}

function InputLine({ part, input }: { readonly part: SharedPart; readonly input: Field }) {
  const { name, required } = input;
  return (
    <li className="flex flex-wrap items-center gap-x-1.5 py-0.5">
      <Renamed
        label={`Name of the input ${name}`}
        words={name}
        onRename={(next) => make(edits.renameInput(part.id, name, next))}
      />
      <MenuButton
        label={`Type of ${name}`}
        words={typeInWords(input)}
        entries={scalarNames.map((type) => ({
          words: type,
          isChosen: type === input.type,
          onChoose: () => make(edits.changeInput(part.id, name, { type })),
        }))}
      />
      <button
        type="button"
        aria-pressed={!required}
        title="What uses it need not feed it, and may have no value for it"
        className="rounded-full border border-rule bg-paper px-2 text-sm whitespace-nowrap hover:border-ash aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
        onClick={() => make(edits.changeInput(part.id, name, { required: !required }))}
      >
        optional
      </button>
      <Button
        label={`Remove the input ${name}`}
        onPress={() => make(edits.removeInput(part.id, name))}
      >
        <X size={13} aria-hidden="true" />
      </Button>
    </li>
  );
}

function NewInput({ part }: { readonly part: SharedPart }) {
  const add = () => {
    const taken = part.inputs.map(({ name }) => name.replaceAll('_', '-'));
    make(edits.addInput(part.id, freeId('input', taken).replaceAll('-', '_'), 'text'));
  };
  return (
    <Button onPress={add}>
      <Plus size={13} aria-hidden="true" /> New input
    </Button>
  );
}
