import { slug } from '../base';
import { pathsRead } from '../values';
import { type Binding, isBound } from './bound';

/** What a part is called that shows this, until a person names it: `price`, `maker-and-weight`. */
export function nameAfter(binding: Binding, otherwise: string): string {
  const paths = isBound(binding) ? pathsRead(binding.expr) : [];
  const steps = [
    ...new Set(
      paths.map((path) => slug((path.at(-1) ?? '').replace(/([a-z0-9])([A-Z])/g, '$1-$2'))),
    ),
  ].filter(isTelling);
  return steps.length === 0 ? otherwise : steps.slice(0, 2).join('-and-').slice(0, maxChars);
}

/** An id has 60 characters at most, and may need a number at its end. */
const maxChars = 50;

const isTelling = (step: string): boolean => step !== '' && step !== 'unnamed';

/** Whether a part's name says no more than what it shows: it follows when that becomes another value. */
export const followsWhatIsShown = (id: string, binding: Binding): boolean => {
  const name = nameAfter(binding, '');
  return (
    name !== '' &&
    (id === name || (id.startsWith(`${name}-`) && /^-\d+$/.test(id.slice(name.length))))
  );
};
