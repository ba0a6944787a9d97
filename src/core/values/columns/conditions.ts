import type { Checked } from '../check/checked';
import { compared } from '../compile/tests';
import { kindOf } from '../result-type';
import type { CompareOperator, LogicalOperator } from '../syntax/tree';
import { blockLength, type Conditions, type Numbers, rowReader, type Texts } from './blocks';
import { asFlag, type Columns, isMissing } from './columns';
import {
  and,
  type Loop,
  missingConditions,
  missingNumbers,
  missingTexts,
  not,
  ofTable,
  or,
  orElse,
  select,
} from './condition-loops';
import { type CompareLoop, compareNumbers } from './number-loops';
import { numbers } from './numbers';
import { texts } from './texts';

/** A condition over columns, each item's in a byte. */
export function conditions(checked: Checked, columns: Columns): Conditions {
  switch (checked.kind) {
    case 'field':
    case 'member': {
      const all = checked.type.type === 'boolean' ? columns.flags(checked) : undefined;
      if (all === undefined) break;
      return (from, count) => all.subarray(from, from + count);
    }
    case 'literal': {
      const fixed = new Uint8Array(blockLength).fill(asFlag(checked.value));
      return () => fixed;
    }
    case 'compare':
      if (checked.as === 'number')
        return comparedNumbers(
          compareNumbers[checked.operator],
          numbers(checked.left, columns),
          numbers(checked.right, columns),
        );
      if (checked.as === 'text' && checked.right.kind === 'literal') {
        const of = texts(checked.left, columns);
        const { value } = checked.right;
        if (of === undefined || typeof value !== 'string') break;
        return comparedTexts(of, value, checked.operator);
      }
      break;
    case 'not': {
      const of = conditions(checked.of, columns);
      return filled((out, from, count) => not(of(from, count), out));
    }
    case 'isMissing': {
      const missing = missingOf(checked.of, columns);
      if (missing === undefined) break;
      return checked.isNegated
        ? filled((out, from, count) => not(missing(from, count), out))
        : missing;
    }
    case 'logical':
      if (!areConditions(checked.left, checked.right)) break;
      return combined(
        logical[checked.operator],
        conditions(checked.left, columns),
        conditions(checked.right, columns),
      );
    case 'conditional': {
      if (!areConditions(checked.whenTrue, checked.otherwise)) break;
      const test = conditions(checked.test, columns);
      const whenTrue = conditions(checked.whenTrue, columns);
      const otherwise = conditions(checked.otherwise, columns);
      return filled((out, from, count) =>
        select(test(from, count), whenTrue(from, count), otherwise(from, count), out),
      );
    }
  }
  const value = rowReader(checked, columns);
  return filled((out, from, count) => {
    for (let i = 0; i < count; i += 1) out[i] = asFlag(value(from + i));
  });
}

const areConditions = (...all: readonly Checked[]): boolean =>
  all.every((each) => kindOf(each.type) === 'boolean');

/** Blocks that are written into one array, which the next block overwrites. */
function filled(fill: (out: Uint8Array, from: number, count: number) => void): Conditions {
  const whole = new Uint8Array(blockLength);
  return (from, count) => {
    const out = count === blockLength ? whole : whole.subarray(0, count);
    fill(out, from, count);
    return out;
  };
}

const logical: Readonly<Record<LogicalOperator, Loop>> = { '&&': and, '||': or, '??': orElse };

const combined = (loop: Loop, left: Conditions, right: Conditions): Conditions =>
  filled((out, from, count) => loop(left(from, count), right(from, count), out));

const comparedNumbers = (loop: CompareLoop, left: Numbers, right: Numbers): Conditions =>
  filled((out, from, count) => loop(left(from, count), right(from, count), out));

/** Each text of the table is compared once. */
function comparedTexts(of: Texts, fixed: string, operator: CompareOperator): Conditions {
  const results = Uint8Array.from([
    ...of.table.map((text) => asFlag(compared(operator, text, fixed))),
    isMissing,
  ]);
  return filled((out, from, count) => ofTable(of.codes(from, count), results, out));
}

function missingOf(checked: Checked, columns: Columns): Conditions | undefined {
  switch (kindOf(checked.type)) {
    case 'number': {
      const of = numbers(checked, columns);
      return filled((out, from, count) => missingNumbers(of(from, count), out));
    }
    case 'boolean': {
      const of = conditions(checked, columns);
      return filled((out, from, count) => missingConditions(of(from, count), out));
    }
    case 'text': {
      const of = texts(checked, columns);
      if (of === undefined) return undefined;
      return filled((out, from, count) => missingTexts(of.codes(from, count), out));
    }
    default:
      return undefined;
  }
}
