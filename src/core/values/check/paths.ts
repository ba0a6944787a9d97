import { nearest } from '../../base';
import { valueFindings } from '../findings';
import { methodNames, methodOf } from '../functions';
import { isTextual, kindOf, type ResultType, withArticle } from '../result-type';
import type { Expr } from '../syntax/tree';
import { type Field, fieldNamed } from '../type';
import { type Checked, type ContextName, inWords } from './checked';
import { listed, writable } from './names';
import type { Checking } from './scope';

/** What stands around an item, and of which type. */
const contextTypes: Readonly<Record<ContextName, (fields: readonly Field[]) => ResultType>> = {
  index: () => ({ type: 'integer' }),
  count: () => ({ type: 'integer' }),
  look: () => ({ type: 'text' }),
  section: (fields) => ({
    type: 'record',
    fields: [
      { name: 'name', type: 'text', required: false },
      { name: 'index', type: 'integer', required: true },
      { name: 'count', type: 'integer', required: true },
      { name: 'items', type: 'list', of: { type: 'record', fields }, required: true },
    ],
  }),
  now: () => ({ type: 'datetime' }),
};

const isContextName = (name: string): name is ContextName => Object.hasOwn(contextTypes, name);

function isKnown(name: ContextName, { hasPlace, hasLook }: Checking['world']): boolean {
  if (name === 'now') return true;
  return name === 'look' ? hasLook : hasPlace;
}

export function name(node: Expr & { kind: 'name' }, here: Checking): Checked | undefined {
  const span = { from: node.from, to: node.to };
  const { fields } = here.world;
  const local = here.locals.findLast((each) => each.name === node.name);
  if (local !== undefined) return { kind: 'local', ...local, ...span };
  // A field that is called "item" itself is item.item.
  if (node.name === 'item')
    return { kind: 'item', type: { type: 'record', fields }, mayBeMissing: false, ...span };
  const field = fieldNamed(fields, node.name);
  if (field !== undefined)
    return { kind: 'field', name: field.name, type: field, mayBeMissing: !field.required, ...span };
  if (isContextName(node.name)) {
    if (!isKnown(node.name, here.world)) return here.note(valueFindings.noPlace(span, node.name));
    const type = contextTypes[node.name](fields);
    return { kind: 'context', name: node.name, type, mayBeMissing: node.name !== 'now', ...span };
  }
  const names = [...here.locals.map((each) => each.name), ...fields.map((each) => each.name)];
  const near = writable(nearest(node.name, names));
  return here.note(valueFindings.unknownName(span, node.name, near, listed(names)));
}

export function member(node: Expr & { kind: 'member' }, here: Checking): Checked | undefined {
  const of = here.visit(node.of);
  if (of === undefined) return undefined;
  const { name, from, to } = node;
  const { type } = of;
  if (type.type !== 'record') return length(node, of) ?? here.note(intoValue(node, of));
  const field = fieldNamed(type.fields, name);
  if (field === undefined) {
    const names = type.fields.map((each) => each.name);
    const near = writable(nearest(name, names));
    const known = listed(names);
    return here.note(valueFindings.noSuchStep(node.step, inWords(of), name, { near, known }));
  }
  const mayBeMissing = of.mayBeMissing || !field.required;
  if (of.kind === 'item') return { kind: 'field', name, type: field, mayBeMissing, from, to };
  return { kind: 'member', of, name, step: node.step, type: field, mayBeMissing, from, to };
}

/** `length` of a text or a list: the one step that no field is. */
function length(node: Expr & { kind: 'member' }, of: Checked): Checked | undefined {
  const kind = kindOf(of.type);
  const entry =
    node.name !== 'length'
      ? undefined
      : kind === 'list'
        ? methodOf('list', 'length')
        : isTextual(kind)
          ? methodOf('text', 'length')
          : undefined;
  if (entry === undefined) return undefined;
  const { name, on } = entry;
  const { mayBeMissing } = of;
  const { from, to } = node;
  const type = { type: 'integer' } as const;
  return { kind: 'call', name, on, args: [of], type, mayBeMissing, from, to };
}

function intoValue({ step, name }: Expr & { kind: 'member' }, of: Checked) {
  const what = inWords(of);
  const { type } = of;
  if (methodNames.has(name)) return valueFindings.methodUncalled(step, name);
  if (type.type === 'list')
    return valueFindings.intoList(step, what, type.of.type === 'record', name);
  return valueFindings.notARecord(step, of, { what, type: withArticle(type) });
}

export function index(node: Expr & { kind: 'index' }, here: Checking): Checked | undefined {
  const of = here.visit(node.of);
  const at = here.visit(node.at);
  if (of === undefined || at === undefined) return undefined;
  const { type } = of;
  if (type.type === 'record')
    return here.note(valueFindings.stepComputed({ from: node.at.from, to: node.at.to }));
  if (type.type !== 'list')
    return here.note(valueFindings.notAList(node.of, inWords(of), withArticle(type)));
  if (kindOf(at.type) !== 'number')
    return here.note(
      valueFindings.takes(node.at, { what: 'A position', type: withArticle(at.type) }, 'a number'),
    );
  return { kind: 'index', of, at, type: type.of, mayBeMissing: true, from: node.from, to: node.to };
}
