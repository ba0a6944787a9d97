import { edits, withId } from '../../../../core/project';
import {
  declaredInput,
  inputProperty,
  isBound,
  propertyOf,
  type SharedPart,
  type SharedUse,
} from '../../../../core/templates';
import { type Field, pathText } from '../../../../core/values';
import { Button, MenuButton, Row } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { ExpressionInput } from '../binding/expression-input';
import { LooseEnd } from '../binding/loose-end';
import { fieldsSeen, type Selection } from '../selection';
import { KeptPart } from './kept-part';

interface SharedInputsProps {
  readonly selection: Selection;
  readonly use: SharedUse;
}

/** Which shared part stands here, what feeds its inputs, and the part itself: a change of it reaches all uses. */
export default function SharedInputs({ selection, use }: SharedInputsProps) {
  const { project, template } = selection;
  const { sharedParts = [] } = project;
  const kept = withId(sharedParts, use.of);
  const place = { template: template.id, part: use.id };
  return (
    <>
      <Row words="shared part">
        <MenuButton
          label="Shared part"
          words={kept?.name ?? use.of}
          entries={sharedParts.map(({ id, name }) => ({
            words: name,
            isChosen: id === use.of,
            onChoose: () => make(edits.set({ ...place, property: 'of' }, id)),
          }))}
        />
      </Row>
      {kept?.inputs.map((input) => (
        <InputField key={input.name} {...{ selection, use, input }} />
      ))}
      {kept !== undefined &&
        strayInputs(use, kept).map((name) => (
          <Row key={name} words={name}>
            <span className="text-madder">is no input of it</span>{' '}
            <Button
              onPress={() =>
                make(edits.set({ ...place, property: inputProperty(name) }, undefined))
              }
            >
              Take it away
            </Button>
          </Row>
        ))}
      {kept !== undefined && <KeptPart key={kept.id} project={project} part={kept} />}
    </>
  );
}

const strayInputs = (
  { inputs = {} }: SharedUse,
  { inputs: known }: SharedPart,
): readonly string[] =>
  Object.keys(inputs).filter((name) => known.every((input) => input.name !== name));

interface InputFieldProps extends SharedInputsProps {
  readonly input: Field;
}

function InputField({ selection, use, input }: InputFieldProps) {
  const { name } = input;
  const property = inputProperty(name);
  const place = { template: selection.template.id, part: use.id, property };
  const binding = propertyOf(use, property);
  const declared = declaredInput(name, input);
  return (
    <Row
      words={
        <LooseEnd
          {...{ selection, place }}
          words={name}
          binding={isBound(binding) ? binding : undefined}
        />
      }
    >
      {isBound(binding) ? (
        <ExpressionInput {...{ selection, place, declared, binding }} />
      ) : (
        <span className="flex items-center gap-2">
          <span className={input.required ? 'text-madder' : 'text-ash'}>nothing feeds it</span>
          <Button onPress={() => make(edits.bind(place, { expr: likely(selection, use, input) }))}>
            Feed it
          </Button>
        </span>
      )}
    </Row>
  );
}

/** A value of the same name, else the first of the same type. */
function likely(selection: Selection, use: SharedUse, input: Field): string {
  const fields = fieldsSeen(selection, { part: use.id, property: inputProperty(input.name) });
  const found =
    fields.find(({ name }) => name === input.name) ??
    fields.find(({ type }) => type === input.type);
  return found === undefined ? 'null' : pathText([found.name]);
}
