import type { Checked } from '../check/checked';
import { compared } from '../compile/tests';
import { kindOf } from '../result-type';
import type { CompareOperator, LogicalOperator } from '../syntax/tree';
import { type Conditions, type Numbers, rowReader, type Texts } from './blocks';
import { asFlag, blockLength, type Columns, isMissing } from './columns';
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
      return (from) => all.subarray(from, from + blockLength);
    }
    case 'literal': {
      const fixed = new Uint8Array(blockLength).fill(asFlag(checked.value));
      return () => fixed;
    }
    case 'compare':
      if (checked.as === 'number')
        return comparedNumbers(
          compareNumbers[checked.operator],
          numbers(checked.left, columns, conditions),
          numbers(checked.right, columns, conditions),
        );
      if (checked.as === 'text' && checked.right.kind === 'literal') {
        const of = texts(checked.left, columns, conditions);
        const { value } = checked.right;
        if (of === undefined || typeof value !== 'string') break;
        return comparedTexts(of, value, checked.operator);
      }
      break;
    case 'not': {
      const of = conditions(checked.of, columns);
      return filled((out, from) => not(of(from), out));
    }
    case 'isMissing': {
      const missing = missingOf(checked.of, columns);
      if (missing === undefined) break;
      return checked.isNegated ? filled((out, from) => not(missing(from), out)) : missing;
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
      return filled((out, from) => select(test(from), whenTrue(from), otherwise(from), out));
    }
  }
  const value = rowReader(checked, columns);
  return filled((out, from) => {
    for (let i = 0; i < blockLength; i += 1) out[i] = asFlag(value(from + i));
  });
}

const areConditions = (...all: readonly Checked[]): boolean =>
  all.every((each) => kindOf(each.type) === 'boolean');

/** Blocks that are written into one array, which the next block overwrites. */
function filled(fill: (out: Uint8Array, from: number) => void): Conditions {
  const out = new Uint8Array(blockLength);
  return (from) => {
    fill(out, from);
    return out;
  };
}

const logical: Readonly<Record<LogicalOperator, Loop>> = { '&&': and, '||': or, '??': orElse };

const combined = (loop: Loop, left: Conditions, right: Conditions): Conditions =>
  filled((out, from) => loop(left(from), right(from), out));

const comparedNumbers = (loop: CompareLoop, left: Numbers, right: Numbers): Conditions =>
  filled((out, from) => loop(left(from), right(from), out));

/** Each text of the table is compared once. */
function comparedTexts(of: Texts, fixed: string, operator: CompareOperator): Conditions {
  const results = Uint8Array.from([
    isMissing,
    ...of.table.map((text) => asFlag(compared(operator, text, fixed))),
  ]);
  return filled((out, from) => ofTable(of.codes(from), results, out));
}

function missingOf(checked: Checked, columns: Columns): Conditions | undefined {
  switch (kindOf(checked.type)) {
    case 'number': {
      const of = numbers(checked, columns, conditions);
      return filled((out, from) => missingNumbers(of(from), out));
    }
    case 'boolean': {
      const of = conditions(checked, columns);
      return filled((out, from) => missingConditions(of(from), out));
    }
    case 'text': {
      const of = texts(checked, columns, conditions);
      if (of === undefined) return undefined;
      return filled((out, from) => missingTexts(of.codes(from), out));
    }
    default:
      return undefined;
  }
}
