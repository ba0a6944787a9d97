import type { Finding } from '../../base';
import { bindingFindings } from '../findings';
import { inputProperty, type SharedUse, type StackPart } from '../parts';
import { partsOf } from '../template';

interface PlacedFinding {
  readonly part: string;
  readonly property: string;
  readonly finding: Finding;
}

/** What is wrong with shared parts where they are used. */
export const sharedFindings = (row: StackPart): readonly PlacedFinding[] =>
  [...partsOf(row)].flatMap((part) => (part.part === 'shared' ? findingsOf(part) : []));

function findingsOf({ id: part, of, inputs: fed = {}, opened }: SharedUse): PlacedFinding[] {
  const ofUse = (finding: Finding): PlacedFinding => ({ part, property: 'of', finding });
  if (opened === undefined) return [];
  const { inputs, circle, isTooMuch } = opened;
  if (inputs === undefined) return [ofUse(bindingFindings.sharedUnknown(of))];
  if (circle !== undefined) return [ofUse(bindingFindings.sharedCircle(circle))];
  const names = inputs.map(({ name }) => name);
  const missing = inputs.filter(({ name, required }) => required && !Object.hasOwn(fed, name));
  return [
    ...(isTooMuch ? [ofUse(bindingFindings.sharedTooMuch(of))] : []),
    ...missing.map(({ name }) => ({
      part,
      property: inputProperty(name),
      finding: bindingFindings.inputMissing(of, name),
    })),
    ...Object.keys(fed)
      .filter((name) => !names.includes(name))
      .map((name) => ({
        part,
        property: inputProperty(name),
        finding: bindingFindings.inputUnknown(of, name, names),
      })),
  ];
}
