import type { RowValues } from '../../../core/arranged';
import { count, type Finding, grouped, type Turns } from '../../../core/base';
import { RowBoxes } from '../../../core/lists';
import { scriptOf, type TextPlace } from '../../../core/text';
import type { RowMeasures } from './measured-rows';

interface Undrawn {
  readonly template: string;
  readonly part: string;
  /** The item of the first row that has any. */
  readonly item: number;
  readonly chars: Set<string>;
  rowCount: number;
}

const usual = { ratio: 1, textSize: 1 };
const rowsATurn = 200;

/** Characters that no face draws, in all rows. Rows whose faces have not come are left out. */
export function* undrawnFindings(
  { arranged, plans, valuesAt }: RowValues,
  measures: RowMeasures,
  language: TextPlace['language'],
): Turns<readonly Finding[]> {
  const texts = measures.at({ ratio: usual.ratio, language });
  if (texts === undefined) return [];
  const boxes = plans.map((plan) => new RowBoxes(plan, usual));
  const found = new Map<string, Undrawn>();
  for (let entry = 0; entry < arranged.items.length; entry += 1) {
    if (entry % rowsATurn === 0) yield entry / arranged.items.length;
    const plan = arranged.plans[entry] ?? 0;
    const row = boxes[plan];
    row?.fill(valuesAt(entry));
    const runs = (row?.labels ?? []).flatMap((label) =>
      row?.label(label.node.part) === undefined
        ? []
        : label.runs.map((run, at) => ({ ...run, family: label.fontAt(at, 0).family })),
    );
    for (const { part, words, family } of runs) {
      const chars = texts.undrawn(words, family);
      if (chars.length === 0) continue;
      const key = `${plan} ${part}`;
      const own = found.get(key) ?? {
        template: plans[plan]?.template ?? '',
        part,
        item: arranged.items[entry] ?? 0,
        chars: new Set(),
        rowCount: 0,
      };
      found.set(key, own);
      own.rowCount += 1;
      for (const char of chars) own.chars.add(char);
    }
  }
  return [...found.values()].map(inWords);
}

const maxNamed = 6;

function inWords({ template, part, item, chars, rowCount }: Undrawn): Finding {
  const all = [...chars].sort();
  const named = all.slice(0, maxNamed).map(nameOf);
  if (all.length > maxNamed) named.push(`and ${grouped(all.length - maxNamed)} more`);
  return {
    code: 'text-no-font',
    severity: 'warning',
    place: { in: 'part', template, part, property: 'text', from: 0, to: 0, item },
    message: `“${part}” of “${template}” has characters that no font draws in ${count(rowCount, 'row')}: ${named.join(', ')}.`,
    hint: 'Boxes are drawn in their place. Take other characters.',
  };
}

/** A character as people look it up: itself, its code point and its script. */
function nameOf(char: string): string {
  const code = (char.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0');
  const script = scriptOf(char);
  return `${char} U+${code}${script === undefined ? '' : ` (${script})`}`;
}
