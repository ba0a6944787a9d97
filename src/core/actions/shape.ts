import { byKind, byMember, id, oneOf, optional, record, type Shape, text } from '../shape';
import type { Action, Effect, Payload } from './action';

type Does<D extends Effect['does']> = Extract<Effect, { readonly does: D }>;

const effect: Shape<Effect> = byMember<Effect>('does', {
  go: record<Does<'go'>>({ does: oneOf(['go']), to: text(200, { minChars: 1 }) }),
  delete: record<Does<'delete'>>({ does: oneOf(['delete']) }),
  write: record<Does<'write'>>({ does: oneOf(['write']), field: text(200), value: text() }),
  select: record<Does<'select'>>({ does: oneOf(['select']) }),
  refresh: record<Does<'refresh'>>({ does: oneOf(['refresh']) }),
  more: record<Does<'more'>>({ does: oneOf(['more']) }),
});

const payload: Shape<Payload> = byKind<Payload>({
  text: oneOf(['item', 'key']),
  record: record<{ readonly expr: string }>({ expr: text() }),
});

export const actionShape: Shape<Action> = record<Action>({
  id: id(),
  words: optional(text(200)),
  icon: optional(text()),
  colour: optional(text(60)),
  when: optional(text()),
  payload: optional(payload),
  effect: optional(effect),
});
