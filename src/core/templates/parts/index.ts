/**
 * The parts that a template is made of: one file each with its shape and its draft,
 * and this list that names them all.
 */
import { type ImagePart, image } from './image';
import { type LabelPart, label } from './label';
import { type StackOf, stack } from './stack';

export interface StackPart extends StackOf<Part> {}
export type Part = LabelPart | ImagePart | StackPart;
export type SlotProperty = 'text' | 'link' | 'picture';
export type { Size } from './size';
export type { Padding } from './stack';
export type { ImagePart, LabelPart };

export const partKinds = { label, image, stack } as const;
