import { closureForms } from './closures';
import { interpolationForms } from './interpolation';
import { masked } from './masked';
import { punctuationForms } from './punctuation';
import { wordForms } from './words';

/** Each with a pattern that tells where its groups stand. */
const forms = [...interpolationForms, ...wordForms, ...closureForms, ...punctuationForms].map(
  (form) => ({ ...form, pattern: new RegExp(form.pattern.source, `d${form.pattern.flags}`) }),
);

/** What else could be written for a text that is no expression, form by form. */
export function* formsIn(text: string): Generator<{
  readonly what: string;
  readonly texts: readonly string[];
  readonly says: string | undefined;
  readonly isSlip: boolean;
}> {
  const blotted = masked(text);
  for (const { what, pattern, write, says, isSlip = false } of forms) {
    const found = pattern.exec(blotted);
    if (found?.indices === undefined) continue;
    const { indices } = found;
    const [start, end] = indices[0] ?? [0, 0];
    const at = (group: number): string => {
      const [from, to] = indices[group] ?? [0, 0];
      return text.slice(from, to);
    };
    const groups = { before: text.slice(0, start), after: text.slice(end), at };
    const texts = write(groups).flatMap((each) =>
      each === undefined || each === text ? [] : each,
    );
    yield { what, texts, says, isSlip };
  }
}
