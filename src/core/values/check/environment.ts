import { nearest } from '../../base';
import { valueFindings } from '../findings';
import { typeOfResult } from '../result-type';
import type { Expr } from '../syntax/tree';
import type { Checked } from './checked';
import { listed } from './names';
import type { Checking } from './scope';
import { showableFinding } from './showable';

export function lookup(node: Expr & { kind: 'lookup' }, here: Checking): Checked | undefined {
  const key = here.visit(node.key);
  const { environment } = here.world;
  const other = environment.sources.get(node.source);
  if (other === undefined) {
    const names = [...environment.sources.keys()];
    const near = nearest(node.source, names);
    return here.note(valueFindings.noSuchSource(node.sourceSpan, node.source, near, listed(names)));
  }
  if (!other.hasKey) here.note(valueFindings.sourceWithoutKey(node.sourceSpan, node.source));
  if (key === undefined) return undefined;
  const wrong = showableFinding(key);
  if (wrong !== undefined) here.note(wrong);
  const { source, from, to } = node;
  const type = { type: 'record', fields: other.fields } as const;
  return { kind: 'lookup', source, key, type, mayBeMissing: true, from, to };
}

export function format(node: Expr & { kind: 'format' }, here: Checking): Checked | undefined {
  const of = here.visit(node.of);
  const { environment, hasPlace } = here.world;
  const span = node.formatSpan;
  if (!hasPlace) return here.note(valueFindings.formatInProperty(node));
  const known = environment.formats.get(node.format);
  if (known === undefined) {
    const names = [...environment.formats.keys()];
    const near = nearest(node.format, names);
    return here.note(valueFindings.noSuchFormat(span, node.format, near, listed(names)));
  }
  if (of === undefined) return undefined;
  if (!known.takes(of.type))
    return here.note(
      valueFindings.formatUnfit(span, node.format, known.words, typeOfResult(of.type)),
    );
  const { format, from, to } = node;
  const { mayBeMissing } = of;
  return {
    kind: 'format',
    of,
    format,
    type: { type: 'text' },
    mayBeMissing,
    from,
    to,
  };
}
