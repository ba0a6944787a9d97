import { clipped, count, type Finding } from '../../../core/base';
import { currencyNear, type NamedFormat } from '../../../core/formats';
import type { Item } from '../../../core/items';
import { type CompiledTemplate, isBound } from '../../../core/templates';
import { makeExpression, pathText } from '../../../core/values';
import { drawnTogether } from './drawn-together';

/** Amounts that are written in one currency for all items, though the items name others. */
export function fixedCurrencies(
  templates: readonly CompiledTemplate[],
  formats: readonly NamedFormat[],
  items: readonly Item[],
): Finding[] {
  return templates.flatMap((compiled) =>
    drawnTogether(compiled.slots).flatMap(([slot]): Finding[] => {
      if (slot === undefined) return [];
      const id = isBound(slot.binding) ? slot.binding.format : undefined;
      const format = formats.find((each) => each.id === id);
      if (format?.as !== 'money' || typeof format.currency !== 'string') return [];
      const { fields } = compiled.seenAt(slot);
      const near = currencyNear(slot.expression?.paths[0] ?? [], fields);
      if (near === undefined) return [];
      const { evaluate } = makeExpression(pathText(near), fields);
      const fixed = format.currency;
      const others = items.filter((item) => {
        const own = slot.seen(item);
        const code = own && evaluate?.(own);
        return typeof code === 'string' && code !== fixed;
      });
      if (others.length === 0) return [];
      const { part, property } = slot;
      return [
        {
          code: 'currency-fixed',
          severity: 'warning',
          place: { in: 'part', template: compiled.template.id, part, property, from: 0, to: 0 },
          message: clipped(
            `All amounts are written in ${fixed}, but ${pathText(near)} names another for ${count(others.length, 'item')}.`,
          ),
          hint: `Let the currency of the format “${format.name}” follow ${pathText(near)}.`,
        },
      ];
    }),
  );
}
