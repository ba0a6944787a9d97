import type { Checked } from '../check/checked';
import { kindOf } from '../result-type';
import { type ConditionsOver, type Numbers, rowReader } from './blocks';
import { asNumber, blockLength, type Columns } from './columns';
import { arithmetic, type NumberLoop, negate, orElse, select } from './number-loops';

/** An expression of numbers over columns: block by block, each step a loop without branches. */
export function numbers(checked: Checked, columns: Columns, conditions: ConditionsOver): Numbers {
  switch (checked.kind) {
    case 'literal': {
      const fixed = new Float64Array(blockLength).fill(asNumber(checked.value));
      return () => fixed;
    }
    case 'field':
    case 'member': {
      const all = columns.numbers(checked);
      if (all === undefined) break;
      return (from) => all.subarray(from, from + blockLength);
    }
    case 'negate': {
      const of = numbers(checked.of, columns, conditions);
      return filled((out, from) => negate(of(from), out));
    }
    case 'arithmetic':
      return combined(
        arithmetic[checked.operator],
        numbers(checked.left, columns, conditions),
        numbers(checked.right, columns, conditions),
      );
    case 'conditional':
      if (!bothAreNumbers(checked.whenTrue, checked.otherwise)) break;
      return chosen(checked, columns, conditions);
    case 'logical':
      if (checked.operator !== '??' || !bothAreNumbers(checked.left, checked.right)) break;
      return combined(
        orElse,
        numbers(checked.left, columns, conditions),
        numbers(checked.right, columns, conditions),
      );
  }
  const value = rowReader(checked, columns);
  return filled((out, from) => {
    for (let i = 0; i < blockLength; i += 1) out[i] = asNumber(value(from + i));
  });
}

const bothAreNumbers = (left: Checked, right: Checked): boolean =>
  kindOf(left.type) === 'number' && kindOf(right.type) === 'number';

/** Blocks that are written into one array, which the next block overwrites. */
function filled(fill: (out: Float64Array, from: number) => void): Numbers {
  const out = new Float64Array(blockLength);
  return (from) => {
    fill(out, from);
    return out;
  };
}

const combined = (loop: NumberLoop, left: Numbers, right: Numbers): Numbers =>
  filled((out, from) => loop(left(from), right(from), out));

function chosen(
  checked: Checked & { kind: 'conditional' },
  columns: Columns,
  conditions: ConditionsOver,
): Numbers {
  const test = conditions(checked.test, columns);
  const whenTrue = numbers(checked.whenTrue, columns, conditions);
  const otherwise = numbers(checked.otherwise, columns, conditions);
  return filled((out, from) => {
    const holds = test(from);
    select(holds, whenTrue(from), otherwise(from), out);
  });
}
