import {
  byMember,
  id,
  list,
  mapOf,
  named,
  number,
  optional,
  record,
  recordOf,
  type Shape,
  text,
} from '../shape';
import { boundShape } from './bound';
import {
  allKinds,
  kinds,
  type Part,
  type PartKind,
  type RunPart,
  type StackPart,
  type StandingPart,
} from './parts';
import { storedShape } from './property';
import type { TextStyle } from './styles';
import type { Template } from './template';
import type { Colour, SpacingStep } from './tokens';

const deepest = 40;

/** A part in the file: what its kind declares, and the parts that it holds. */
const partShape: Shape<StandingPart> = named(
  'part',
  () => byMember<StandingPart>('part', casesOf(allKinds().filter(({ part }) => part !== 'run'))),
  deepest,
);

const runShape: Shape<RunPart> = named(
  'run',
  () => byMember<RunPart>('part', casesOf([kinds.run])),
  1,
);

/** What of other parts a kind has in it, by the key in the file. */
const held = {
  children: () => list(partShape, { max: 200 }),
  runs: () => optional(list(runShape, { max: 20 })),
  inputs: () => optional(mapOf(boundShape)),
};

const casesOf = (
  all: readonly PartKind[],
  where: 'row' | 'within' = 'within',
): Readonly<Record<string, Shape<never>>> =>
  Object.fromEntries(all.map((kind) => [kind.part, kindShape(kind, where)]));

const kindShape = ({ properties, holds }: PartKind, where: 'row' | 'within'): Shape<never> =>
  recordOf({
    part: text(60),
    id: id(),
    ...Object.fromEntries(
      Object.entries(properties).flatMap(([name, property]) => {
        if (property.isOfRow && where !== 'row') return [];
        const shape = storedShape(property);
        return [[name, property.isRequired ? shape : optional(shape)] as const];
      }),
    ),
    ...(holds !== undefined && { [holds]: held[holds]() }),
  });

/** The outermost part is a stack. */
export const rowShape: Shape<StackPart> = named(
  'row',
  () => byMember<StackPart>('part', casesOf([kinds.stack], 'row')),
  1,
);

/** Parts by themselves, as they are copied. */
export const partsShape: Shape<readonly Part[]> = list(
  named('any part', () => byMember<Part>('part', casesOf(allKinds())), 1),
  { min: 1, max: 200 },
);

export const textStyleShape: Shape<TextStyle> = record<TextStyle>({
  name: text(60, { minChars: 1 }),
  size: number({ min: 4, max: 200 }),
  lineHeight: number({ min: 4, max: 400 }),
  weight: number({ min: 100, max: 900 }),
  colour: text(60),
  family: optional(text(200)),
  letterSpacing: optional(number({ min: -10, max: 40 })),
});

const hexColour = () =>
  text(9, {
    pattern: ['^#[0-9a-fA-F]{6}(?:[0-9a-fA-F]{2})?$', 'be a colour as #RRGGBB or #RRGGBBAA'],
  });

export const colourShape: Shape<Colour> = record<Colour>({
  name: text(60, { minChars: 1 }),
  light: hexColour(),
  dark: hexColour(),
});

export const spacingShape: Shape<SpacingStep> = record<SpacingStep>({
  name: text(60, { minChars: 1 }),
  px: number({ min: 0, max: 200 }),
});

export const templateShape: Shape<Template> = record<Template>({
  id: id(),
  name: text(),
  type: id(),
  row: rowShape,
});
