import type { Checked } from '../check/checked';
import type { Value } from '../value';
import { numberSteps } from './fused';
import type { Closures, Run, RunTest } from './scope';

/**
 * `a ? b : c ? d : e` as one closure: a chain of them would call itself, which engines do not take
 * apart. Where all that can come out is fixed, nothing is called for it.
 */
export function conditional(checked: Checked & { kind: 'conditional' }, make: Closures): Run {
  const tests: Checked[] = [];
  const results: Checked[] = [];
  let rest: Checked = checked;
  while (rest.kind === 'conditional') {
    tests.push(rest.test);
    results.push(rest.whenTrue);
    rest = rest.otherwise;
  }
  const all = [...results, rest];
  if (!all.every((each) => each.kind === 'literal'))
    return amongRuns(tests.map(make.test), all.map(make.run));
  const values = all.map(fixedValue);
  return numberSteps(tests, values) ?? amongFixed(tests.map(make.test), values);
}

const fixedValue = (checked: Checked): Value =>
  checked.kind === 'literal' ? checked.value : undefined;

/** One value more than there are tests: the last stands for none of them. */
function amongFixed(tests: readonly RunTest[], values: readonly Value[]): Run {
  const [one, two] = tests;
  const [first, second, third] = values;
  if (one !== undefined && tests.length === 1)
    return (item, scope) => (one(item, scope) ? first : second);
  if (one !== undefined && two !== undefined && tests.length === 2)
    return (item, scope) => (one(item, scope) ? first : two(item, scope) ? second : third);
  return (item, scope) => {
    for (let at = 0; at < tests.length; at += 1) if (tests[at]?.(item, scope)) return values[at];
    return values[tests.length];
  };
}

function amongRuns(tests: readonly RunTest[], runs: readonly Run[]): Run {
  const [one] = tests;
  const [first, second] = runs;
  if (one !== undefined && first !== undefined && second !== undefined && tests.length === 1)
    return (item, scope) => (one(item, scope) ? first(item, scope) : second(item, scope));
  return (item, scope) => {
    for (let at = 0; at < tests.length; at += 1)
      if (tests[at]?.(item, scope)) return runs[at]?.(item, scope);
    return runs[tests.length]?.(item, scope);
  };
}

/** `a && b && c` in one closure: the first that is not true, else the last. */
export function all(checked: Checked & { kind: 'logical' }, make: Closures): Run {
  const runs = partsOf(checked).map(make.run);
  const [one, two, three] = runs;
  if (one !== undefined && two !== undefined && runs.length === 2)
    return (item, scope) => {
      const value = one(item, scope);
      return value === true ? two(item, scope) : value;
    };
  if (one !== undefined && two !== undefined && three !== undefined && runs.length === 3)
    return (item, scope) => {
      const value = one(item, scope);
      if (value !== true) return value;
      const next = two(item, scope);
      return next === true ? three(item, scope) : next;
    };
  return (item, scope) => {
    let value: Value;
    for (let at = 0; at < runs.length; at += 1) {
      value = runs[at]?.(item, scope);
      if (value !== true) return value;
    }
    return value;
  };
}

function partsOf(checked: Checked): Checked[] {
  return checked.kind === 'logical' && checked.operator === '&&'
    ? [...partsOf(checked.left), ...partsOf(checked.right)]
    : [checked];
}
