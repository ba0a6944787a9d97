import { type Finding, nearest } from '../../../core/base';
import type { Item } from '../../../core/items';
import { type BoundSlot, type CompiledTemplate, isBound } from '../../../core/templates';
import {
  type ComparedText,
  comparedTexts,
  makeExpression,
  type Span,
  valueFindings,
} from '../../../core/values';
import { drawnTogether } from './drawn-together';

/** Values that are kept to find the one that was probably meant. */
const maxKept = 1_000;

/** Comparisons with a text that the value is for no item: `kind === "tre"`. */
export function neverEqual(
  templates: readonly CompiledTemplate[],
  items: readonly Item[],
): Finding[] {
  return templates.flatMap((compiled) =>
    drawnTogether(compiled.slots).flatMap((drawn) => {
      const [slot] = drawn;
      if (slot === undefined || !isBound(slot.binding) || slot.findings.length > 0) return [];
      return comparedTexts(slot.expression?.text ?? '').flatMap((compared) => {
        const others = othersThan(compared, drawn, compiled, items);
        if (others === undefined) return [];
        const { span } = compared;
        const near = nearest(compared.value, others);
        const finding = valueFindings.neverEqual(span, compared.of, compared.value, near);
        const { part, property } = slot;
        const { id: template } = compiled.template;
        return [
          { ...finding, place: { in: 'part', template, part, property, ...spanOf(span) } as const },
        ];
      });
    }),
  );
}

const spanOf = ({ from, to }: Span) => ({ from, to });

/** The texts that a compared value is; undefined: it is the one it is compared with, or never a text. */
function othersThan(
  { of, value }: ComparedText,
  drawn: readonly BoundSlot[],
  compiled: CompiledTemplate,
  items: readonly Item[],
): ReadonlySet<string> | undefined {
  const [slot] = drawn;
  if (slot === undefined) return undefined;
  const { fields } = compiled.seenAt(slot);
  const evaluate = makeExpression(of, fields, 'any', slot.expression?.environment).evaluate;
  if (evaluate === undefined) return undefined;
  const others = new Set<string>();
  for (const item of items)
    for (const { seen } of drawn) {
      const own = seen(item);
      const is = own && evaluate(own);
      if (is === value) return undefined;
      if (typeof is === 'string' && others.size < maxKept) others.add(is);
    }
  return others.size === 0 ? undefined : others;
}
