import type { Binding } from '../bound';
import { address, bindable, optional, rare, style, text, trait } from './declare';
import type { DraftedKind, PartOf } from './kind';
import { ofWords } from './label';

const properties = {
  text: text('text'),
  link: optional(address('link')),
  style: rare(bindable(style('style', undefined))),
  ...ofWords,
  joined: rare(bindable(trait('joined to what is before'))),
};

export type RunPart = PartOf<'run', typeof properties>;

/** Words that go on in a label, in a look of their own: a space apart, if they are not joined. */
export const run: DraftedKind<'run', typeof properties> = {
  part: 'run',
  about: 'Words that go on in a label, in a look of their own',
  shows: 'text',
  box: undefined,
  properties,
  draft: (id, value) => draftRun(id, value),
};

const draftRun = (id: string, words: Binding): RunPart => ({ part: 'run', id, text: words });
