/** What has the focus among what stands with an element: the page's, or that of the shadow tree it is in. */
export function activeAround(element: Element): Element | null {
  const root = element.getRootNode();
  return root instanceof Document || root instanceof ShadowRoot ? root.activeElement : null;
}
