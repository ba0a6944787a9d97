import type { Checked } from '../check/checked';
import { kindOf } from '../result-type';
import { blockLength, type Numbers, rowReader } from './blocks';
import { asNumber, type Columns } from './columns';
import { conditions } from './conditions';
import { arithmetic, type NumberLoop, negate, orElse, select } from './number-loops';

/** An expression of numbers over columns: block by block, each step a loop without branches. */
export function numbers(checked: Checked, columns: Columns): Numbers {
  switch (checked.kind) {
    case 'literal': {
      const fixed = new Float64Array(blockLength).fill(asNumber(checked.value));
      return () => fixed;
    }
    case 'field':
    case 'member': {
      const all = columns.numbers(checked);
      if (all === undefined) break;
      return (from, count) => all.subarray(from, from + count);
    }
    case 'negate': {
      const of = numbers(checked.of, columns);
      return filled((out, from, count) => negate(of(from, count), out));
    }
    case 'arithmetic':
      return combined(
        arithmetic[checked.operator],
        numbers(checked.left, columns),
        numbers(checked.right, columns),
      );
    case 'conditional':
      if (!bothAreNumbers(checked.whenTrue, checked.otherwise)) break;
      return chosen(checked, columns);
    case 'logical':
      if (checked.operator !== '??' || !bothAreNumbers(checked.left, checked.right)) break;
      return combined(orElse, numbers(checked.left, columns), numbers(checked.right, columns));
  }
  const value = rowReader(checked, columns);
  return filled((out, from, count) => {
    for (let i = 0; i < count; i += 1) out[i] = asNumber(value(from + i));
  });
}

const bothAreNumbers = (left: Checked, right: Checked): boolean =>
  kindOf(left.type) === 'number' && kindOf(right.type) === 'number';

/** Blocks that are written into one array, which the next block overwrites. */
function filled(fill: (out: Float64Array, from: number, count: number) => void): Numbers {
  const whole = new Float64Array(blockLength);
  return (from, count) => {
    const out = count === blockLength ? whole : whole.subarray(0, count);
    fill(out, from, count);
    return out;
  };
}

const combined = (loop: NumberLoop, left: Numbers, right: Numbers): Numbers =>
  filled((out, from, count) => loop(left(from, count), right(from, count), out));

function chosen(checked: Checked & { kind: 'conditional' }, columns: Columns): Numbers {
  const test = conditions(checked.test, columns);
  const whenTrue = numbers(checked.whenTrue, columns);
  const otherwise = numbers(checked.otherwise, columns);
  return filled((out, from, count) => {
    const holds = test(from, count);
    select(holds, whenTrue(from, count), otherwise(from, count), out);
  });
}
