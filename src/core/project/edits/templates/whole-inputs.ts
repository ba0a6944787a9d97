import { freeId } from '../../../base';
import {
  type Bound,
  isBound,
  isName,
  partWithId,
  propertyOf,
  replacePart,
  type StackPart,
  slotsOf,
  withProperty,
} from '../../../templates';
import { type Field, makeExpression, pathRead, scalarNames } from '../../../values';
import { environmentOf } from '../../environment';
import type { Project } from '../../project';

/** A property that an expression feeds. */
export interface FedProperty {
  readonly part: string;
  readonly property: string;
}

/** What of a part is fed by more than a field: each may be one input, or what it reads are inputs. */
export const wholeValuesOf = (part: Parameters<typeof slotsOf>[0]): readonly FedProperty[] =>
  slotsOf(part).flatMap(({ part: id, property, binding }) =>
    isBound(binding) && pathRead(binding.expr)?.length !== 1 ? [{ part: id, property }] : [],
  );

interface WholeInputs {
  readonly row: StackPart;
  readonly inputs: readonly Field[];
  /** By input, what feeds it where the part is used. */
  readonly fed: Readonly<Record<string, Bound>>;
}

/** A row in which some values are read from an input each. A text: why that can't be. */
export function withWholeInputs(
  row: StackPart,
  whole: readonly FedProperty[],
  fields: readonly Field[],
  project: Project,
): WholeInputs | string {
  // As ids are freed: input names have a line below where those have a hyphen.
  const taken = new Set(fields.map(({ name }) => name.replaceAll('_', '-')));
  let made: WholeInputs = { row, inputs: [], fed: {} };
  for (const { part: id, property } of whole) {
    const part = partWithId(row, id);
    const binding = part && propertyOf(part, property);
    if (part === undefined || !isBound(binding)) return `“${id}” has no such value.`;
    const { checked } = makeExpression(binding.expr, fields, 'any', environmentOf(project));
    const type = scalarNames.find((name) => name === checked?.type.type);
    if (checked === undefined || type === undefined)
      return `What “${id}” shows can’t be one input: it is no single value of the item.`;
    const own = freeId(id.replaceAll(/[^A-Za-z0-9]+/g, '-'), taken);
    taken.add(own);
    const wish = own.replaceAll('-', '_');
    const name = isName(wish) ? wish : `value_${wish}`;
    made = {
      row: replacePart(made.row, id, (each) =>
        withProperty(each, property, { ...binding, expr: name }),
      ),
      inputs: [...made.inputs, { type, name, required: !checked.mayBeMissing }],
      fed: { ...made.fed, [name]: { expr: binding.expr } },
    };
  }
  return made;
}
