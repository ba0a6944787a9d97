import { type Field, pathText } from '../values';
import { draftLabel, draftStack, type StackPart } from './parts';

/** The plainest row: one label, with the field that most likely names an item. */
export function draftRow(title: readonly string[] | undefined): StackPart {
  const text = title === undefined ? 'No field to show' : { expr: pathText(title) };
  return {
    ...draftStack('row', 'across', [draftLabel('title', text, 'title', { share: 1 })]),
    padding: { start: 16, end: 16, top: 10, bottom: 10 },
  };
}

const pictureNames = /(?:image|picture|photo|icon|avatar|thumbnail|logo|cover)/i;
const pictureTexts = /^(?:https?:\/\/|data:image\/)|\.(?:svg|png|jpe?g|webp|avif|gif)$/i;

/** What a value most likely becomes when it is put on a template: a picture or a label. */
export function likelyPart(field: Field, sample: string | undefined): 'image' | 'label' {
  if (field.type !== 'text') return 'label';
  return pictureNames.test(field.name) || (sample !== undefined && pictureTexts.test(sample))
    ? 'image'
    : 'label';
}
