/** Whether an event comes from a field that text is written in, also one inside a shadow root. */
export function writesText(event: Event): boolean {
  const [target] = event.composedPath();
  return (
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLElement && target.isContentEditable) ||
    (target instanceof Node && (target.parentElement?.isContentEditable ?? false))
  );
}
