import Plus from 'lucide-react/icons/plus';
import X from 'lucide-react/icons/x';
import { count, freeId } from '../../../../core/base';
import { edits, type Project, spacingOf, usesOfName } from '../../../../core/project';
import type { SpacingStep } from '../../../../core/templates';
import { Button, Heading } from '../../../shared/controls/controls';
import { NumberField } from '../../../shared/controls/number-field';
import { Renamed } from '../../../shared/controls/renamed';
import { make } from '../../../shared/session/editing';

/** The project's spacing steps: lengths that gaps and padding name, changed in one place. */
export function Spacing({ project }: { readonly project: Project }) {
  const steps = spacingOf(project);
  const add = () => {
    const name = freeId(
      'step',
      steps.map((step) => step.name),
    );
    make(edits.addStep({ name, px: (steps.at(-1)?.px ?? 0) + 8 }));
  };
  return (
    <section aria-label="Spacing" className="pt-3">
      <Heading>Spacing</Heading>
      <table className="border-collapse">
        <thead>
          <tr className="text-start text-sm text-ash">
            <th className="pe-4 text-start font-normal">name</th>
            <th className="pe-4 text-start font-normal">px</th>
            <th className="pe-4 text-start font-normal">as long</th>
            <th className="pe-4 text-start font-normal">named by</th>
            <th>
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step) => (
            <StepLine key={step.name} {...{ project, step }} />
          ))}
        </tbody>
      </table>
      <div className="py-2">
        <Button onPress={add}>
          <Plus size={14} aria-hidden="true" /> New step
        </Button>
      </div>
    </section>
  );
}

interface StepLineProps {
  readonly project: Project;
  readonly step: SpacingStep;
}

function StepLine({ project, step: { name, px } }: StepLineProps) {
  const uses = usesOfName(project, 'spacing', name).length;
  return (
    <tr className="border-t border-rule">
      <td className="pe-4">
        <Renamed
          label={`Name of the step ${name}`}
          words={name}
          onRename={(next) => make(edits.renameStepOf(name, next))}
        />
      </td>
      <td className="py-1 pe-4">
        <NumberField
          label={`${name} in px`}
          value={px}
          min={0}
          max={200}
          onChange={(next) => make(edits.changeStep(name, next))}
        />
      </td>
      <td className="pe-4">
        <span className="block h-2 rounded-xs bg-woad" style={{ width: px }} />
      </td>
      <td className="pe-4 text-sm text-ash">{uses === 0 ? 'none' : count(uses, 'part')}</td>
      <td>
        <Button label={`Remove ${name}`} onPress={() => make(edits.removeStep(name))}>
          <X size={14} aria-hidden="true" />
        </Button>
      </td>
    </tr>
  );
}
