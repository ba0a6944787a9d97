/**
 * By example: words that a person wants for an item become expressions and formats that give them.
 * Everything that the item holds is rendered and looked for in the words; the cheapest ways to make
 * the whole of them are proposed, and the item that would tell them apart is asked for. It knows
 * values and formats; templates and screens call it.
 */
export type { Sample } from './behaviours';
export { completed } from './complete-form';
export type { Example, Pin } from './occurrences';
export {
  type Asked,
  type OpenForm,
  type Proposal,
  type Proposed,
  propose,
  type Stretch,
  type Way,
} from './propose';
export { type Source, sourcesOf } from './sources';
export { numberOf } from './writings/plural-writing';
export { openForm, type Text } from './writings/writing';
