/** An entry as it stands in the page. */
export interface Standing {
  readonly index: number;
  /** What stands in the list. */
  readonly element: HTMLElement;
}

let given = 0;

/** An id that nothing else in the page has. */
function idOf(element: Element): string {
  if (element.id === '') {
    given += 1;
    element.id = `yc-${given}`;
  }
  return element.id;
}

/**
 * To assistive technology the rows of a section are a list of their own under its heading, wherever
 * they stand in the page. Told at rest: pooled rows change while one scrolls. `endOf`: past the last
 * entry of the section that a heading is over.
 */
export function groupBySections(
  all: readonly Standing[],
  endOf: (heading: number) => number,
): void {
  const inOrder = all.toSorted((one, other) => one.index - other.index);
  for (const { index, element } of inOrder) {
    const group = element.querySelector(':scope > .yc-section');
    if (group === null) continue;
    const end = endOf(index);
    const own = inOrder.filter((each) => each.index > index && each.index < end);
    for (const each of own) {
      each.element.setAttribute('aria-posinset', String(each.index - index));
      each.element.setAttribute('aria-setsize', String(end - index - 1));
    }
    tellGroup(group, own);
  }
}

function tellGroup(group: Element, own: readonly Standing[]): void {
  const ids = own.map(({ element }) => idOf(element)).join(' ');
  const before = group.getAttribute('aria-owns') ?? '';
  if (ids === before) return;
  if (ids === '') {
    group.removeAttribute('role');
    group.removeAttribute('aria-owns');
    return;
  }
  const heading = group.parentElement?.querySelector(':scope > .yc-heading');
  group.setAttribute('role', 'list');
  if (heading) group.setAttribute('aria-labelledby', idOf(heading));
  group.setAttribute('aria-owns', ids);
}
