import { create } from 'zustand';
import type { Landing } from '../../../../../core/templates';

/** What is being written on the bench: what the selected part shows, or which part comes in. */
export type Writing =
  | { readonly kind: 'binding'; readonly first: string }
  | { readonly kind: 'wrapping' }
  /** Which inputs a shared part has is asked. */
  | { readonly kind: 'sharing' }
  /** Undefined: where is asked. */
  | { readonly kind: 'inserting'; readonly landing: Landing | undefined };

export const useWriting = create<{ readonly writing: Writing | undefined }>()(() => ({
  writing: undefined,
}));

export const startWriting = (first: string): void =>
  useWriting.setState({ writing: { kind: 'binding', first } });

export const startInserting = (landing?: Landing): void =>
  useWriting.setState({ writing: { kind: 'inserting', landing } });

export const startWrapping = (): void => useWriting.setState({ writing: { kind: 'wrapping' } });

export const startSharing = (): void => useWriting.setState({ writing: { kind: 'sharing' } });

/** Ends it; the keys are the bench's again. */
export function endWriting(): void {
  useWriting.setState({ writing: undefined });
  focusBench();
}

export const focusBench = (): void =>
  document.querySelector<HTMLElement>('[data-keys="bench"]')?.focus({ preventScroll: true });
