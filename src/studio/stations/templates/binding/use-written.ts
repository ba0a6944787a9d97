import type { Format } from '../../../../core/formats';
import type { FormattedValue } from '../../../../engine';
import { engine } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import type { Place } from './binding-edits';

interface Asked {
  readonly place: Place;
  readonly expr: string;
  readonly formats: readonly (Format | undefined)[];
  readonly locales: readonly string[];
  readonly items: readonly number[];
}

/** An expression's values in formats, by format, locale and item. */
export const useWritten = (asked: Asked): readonly (readonly (readonly FormattedValue[])[])[] =>
  useAnswer(asked, (own) => engine().tryFormats(own)) ?? [];

export const writtenText = (written: FormattedValue | undefined): string =>
  written === undefined ? '' : 'text' in written ? written.text : written.why;
