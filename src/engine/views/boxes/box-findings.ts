import type { RowValues } from '../../../core/arranged';
import { count, type Finding, grouped, type Turns } from '../../../core/base';
import {
  type Arrangement,
  type BoxFault,
  eachFault,
  smallTargets,
  targetsOf,
  widthsIn,
} from '../../../core/lists';
import { knownId } from '../../../core/templates';
import { MeasuredRows, type RowMeasures } from './measured-rows';

/** The widths of the list, in CSS px, and the text sizes, in per cent, at which boxes are checked. */
export interface CheckedAt {
  readonly widths: readonly number[];
  readonly textSizes: readonly number[];
  readonly arrangement: Arrangement;
  readonly language: string;
}

interface Fault {
  readonly template: string;
  readonly part: string;
  readonly fault: BoxFault;
  /** The item of the first row that has it. */
  readonly item: number;
  /** In how many rows it was found, by the setting in words. */
  readonly counts: Map<string, number>;
}

/** Device px in a CSS px: the same in the window and on the command line. */
const ratio = 1;

/** What is wrong with the boxes of all rows. Rows whose faces have not come are left out. */
export function* boxFindings(
  values: RowValues,
  measures: RowMeasures,
  at: CheckedAt,
): Turns<readonly Finding[]> {
  const { arranged, plans } = values;
  const faults = new Map<string, Fault>();
  const targets = plans.map(({ row }) => new Set(targetsOf(row)));
  for (const textSize of at.textSizes) {
    const place = { ratio, textSize: textSize / 100, language: at.language };
    const rows = new MeasuredRows(values, measures, place);
    for (const widthPx of at.widths) {
      const widths = widthsIn(at.arrangement, widthPx);
      const setting = textSize === 100 ? `${widthPx} px` : `${widthPx} px × ${textSize} %`;
      for (let entry = 0; entry < arranged.items.length; entry += 1) {
        if (rows.isTurnOver()) yield entry / arranged.items.length;
        const boxes = rows.solve(entry, widths);
        const plan = arranged.plans[entry] ?? 0;
        const template = plans[plan]?.template;
        if (boxes === undefined || template === undefined) continue;
        const item = arranged.items[entry] ?? 0;
        const told = new Set<string>();
        const tell = (drawn: string, fault: BoxFault) => {
          const part = knownId(drawn);
          const key = `${fault} ${template} ${part}`;
          // Of parts that stand several times, a row counts once.
          if (told.has(key)) return;
          told.add(key);
          const known = faults.get(key) ?? { template, part, fault, item, counts: new Map() };
          faults.set(key, known);
          known.counts.set(setting, (known.counts.get(setting) ?? 0) + 1);
        };
        eachFault(boxes.row, tell);
        for (const part of smallTargets(boxes.row, targets[plan] ?? new Set()))
          tell(part, 'target');
      }
    }
  }
  const rowCounts = new Map<string, number>();
  for (const plan of arranged.plans) {
    const template = plans[plan]?.template ?? '';
    rowCounts.set(template, (rowCounts.get(template) ?? 0) + 1);
  }
  return [...faults.values()].map((fault) => inWords(fault, rowCounts.get(fault.template) ?? 0));
}

const maxSettings = 4;

function inWords({ template, part, fault, item, counts }: Fault, rowCount: number): Finding {
  const all = [...counts].sort(([, one], [, other]) => other - one);
  const [first, ...others] = all.slice(0, maxSettings);
  const rows = [
    `in ${grouped(first?.[1] ?? 0)} of ${count(rowCount, 'row')} at ${first?.[0]}`,
    ...others.map(([setting, rows]) => `${grouped(rows)} at ${setting}`),
    ...(all.length > maxSettings ? [`and at ${all.length - maxSettings} more settings`] : []),
  ].join(', ');
  const property = fault === 'cut' || fault === 'hangs' ? 'text' : 'width';
  return {
    ...said[fault](`“${part}” of “${template}”`, rows),
    place: { in: 'part', template, part, property, from: 0, to: 0, item },
  };
}

type Said = Pick<Finding, 'code' | 'severity' | 'message' | 'hint'>;

const said: Readonly<Record<BoxFault, (named: string, rows: string) => Said>> = {
  cut: (named, rows) => ({
    code: 'text-cut',
    severity: 'note',
    message: `${named} is cut off ${rows}.`,
    hint: 'Give it more lines, or a share of the width.',
  }),
  squeezed: (named, rows) => ({
    code: 'box-squeezed',
    severity: 'warning',
    message: `${named} gets no room ${rows}.`,
    hint: 'Give it a least width, or let others share what is left.',
  }),
  hangs: (named, rows) => ({
    code: 'text-hangs',
    severity: 'note',
    message: `The lines of ${named} hang on 1/64 px ${rows}.`,
    hint: 'Where it is drawn by something else, a line more or less may come. Give it a pixel more room; at least twice the size of its letters.',
  }),
  target: (named, rows) => ({
    code: 'box-target',
    severity: 'warning',
    message: `${named} is hard to hit with a finger ${rows}: it has less than 44 × 44 px for itself.`,
    hint: 'Give the row more height or padding, or the part more room on all sides.',
  }),
  over: (named, rows) => ({
    code: 'box-over',
    severity: 'warning',
    message: `What is in ${named} stands out of it ${rows}.`,
    hint: 'Let it be as large as its content, or let its parts give way.',
  }),
};
