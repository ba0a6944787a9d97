import { create } from 'zustand';

/** The part whose name is being typed, in the list of parts. */
export const useNaming = create<{ readonly part: string | undefined }>()(() => ({
  part: undefined,
}));

let cameFrom: Element | null = null;

export function startNaming(part: string): void {
  cameFrom = document.activeElement;
  useNaming.setState({ part });
}

/** Ends it; the keys are again where they were. */
export function endNaming(): void {
  useNaming.setState({ part: undefined });
  if (cameFrom instanceof HTMLElement && cameFrom.isConnected) cameFrom.focus();
}
