import { create } from 'zustand';
import type { Span } from '../../../core/values';
import type { Place } from './binding/binding-edits';

/** A stretch of a binding's expression that was asked for, from the trace. */
export const useSpanShown = create<{ readonly place?: Place; readonly span?: Span }>()(() => ({}));

export const showSpan = (place: Place, { from, to }: Span): void =>
  useSpanShown.setState({ place, span: { from, to } });
