import type { Checked } from '../check/checked';
import { kindOf } from '../result-type';
import type { ConditionsOver, Texts } from './blocks';
import { blockLength, type Columns, isTrue } from './columns';

/** Texts that repeat, as positions in a table; undefined where each item has one of its own. */
export function texts(
  checked: Checked,
  columns: Columns,
  conditions: ConditionsOver,
): Texts | undefined {
  if (kindOf(checked.type) !== 'text') return undefined;
  switch (checked.kind) {
    case 'literal': {
      if (typeof checked.value !== 'string') return undefined;
      const codes = new Int32Array(blockLength);
      return { table: [checked.value], codes: () => codes };
    }
    case 'field':
    case 'member': {
      const column = columns.texts(checked);
      if (column === undefined) return undefined;
      const { table, codes } = column;
      return { table, codes: (from) => codes.subarray(from, from + blockLength) };
    }
    case 'conditional': {
      const whenTrue = texts(checked.whenTrue, columns, conditions);
      const otherwise = texts(checked.otherwise, columns, conditions);
      if (whenTrue === undefined || otherwise === undefined) return undefined;
      const test = conditions(checked.test, columns);
      return joined(whenTrue, otherwise, (out, from, other) => {
        const holds = test(from);
        const a = whenTrue.codes(from);
        const b = otherwise.codes(from);
        for (let i = 0; i < blockLength; i += 1)
          out[i] = holds[i] === isTrue ? (a[i] ?? -1) : other(b[i] ?? -1);
      });
    }
    case 'logical': {
      if (checked.operator !== '??') return undefined;
      const left = texts(checked.left, columns, conditions);
      const right = texts(checked.right, columns, conditions);
      if (left === undefined || right === undefined) return undefined;
      return joined(left, right, (out, from, other) => {
        const a = left.codes(from);
        const b = right.codes(from);
        for (let i = 0; i < blockLength; i += 1) {
          const code = a[i] ?? -1;
          out[i] = code < 0 ? other(b[i] ?? -1) : code;
        }
      });
    }
    default:
      return undefined;
  }
}

type Fill = (out: Int32Array, from: number, other: (code: number) => number) => void;

/** Two tables as one; `other` is a position in the second as one in both. */
function joined(first: Texts, second: Texts, fill: Fill): Texts {
  const out = new Int32Array(blockLength);
  const before = first.table.length;
  const other = (code: number) => (code < 0 ? code : before + code);
  return {
    table: [...first.table, ...second.table],
    codes(from) {
      fill(out, from, other);
      return out;
    },
  };
}
