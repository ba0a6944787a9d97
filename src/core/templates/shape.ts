import { byMember, id, list, named, optional, record, recordOf, type Shape, text } from '../shape';
import { allKinds, kinds, type Part, type PartKind, type StackPart } from './parts';
import { storedShape } from './property';
import type { Template } from './template';

const deepest = 40;

/** A part in the file: what its kind declares, and the parts that it holds. */
const partShape: Shape<Part> = named(
  'part',
  () => byMember<Part>('part', casesOf(allKinds())),
  deepest,
);

const casesOf = (all: readonly PartKind[]): Readonly<Record<string, Shape<never>>> =>
  Object.fromEntries(all.map((kind) => [kind.part, kindShape(kind)]));

const kindShape = ({ properties, holdsParts }: PartKind): Shape<never> =>
  recordOf({
    part: text(60),
    id: id(),
    ...Object.fromEntries(
      Object.entries(properties).map(([name, property]) => {
        const shape = storedShape(property);
        return [name, property.isRequired ? shape : optional(shape)];
      }),
    ),
    ...(holdsParts && { children: list(partShape, { max: 200 }) }),
  });

/** The outermost part is a stack. */
const rowShape: Shape<StackPart> = named(
  'row',
  () => byMember<StackPart>('part', casesOf([kinds.stack])),
  1,
);

export const templateShape: Shape<Template> = record<Template>({
  id: id(),
  name: text(),
  type: id(),
  row: rowShape,
});
