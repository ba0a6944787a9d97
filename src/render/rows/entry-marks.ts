import type { Entry } from '../../core/lists';
import type { PooledRow } from './pool';

const blockPlaces = ['first', 'middle', 'last', 'only'] as const;

/** What an entry is beside its values: whether a line comes after it, or its rows are folded away. */
export function showKind(
  { element, role }: PooledRow,
  { isDivided, isFolded, isSkeleton, block }: Entry,
): void {
  for (const place of blockPlaces) element.classList.toggle(`yc-block-${place}`, block === place);
  element.classList.toggle('yc-skeleton', isSkeleton === true);
  element.classList.toggle('yc-divided', isDivided === true);
  if (role !== 'heading') return;
  element.classList.toggle('yc-folds', isFolded !== undefined);
  if (isFolded === undefined) {
    for (const name of ['role', 'tabindex', 'aria-expanded']) element.removeAttribute(name);
    return;
  }
  element.setAttribute('role', 'button');
  element.setAttribute('tabindex', '0');
  element.setAttribute('aria-expanded', String(!isFolded));
}
