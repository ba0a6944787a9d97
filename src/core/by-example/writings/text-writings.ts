import { plainText } from '../../values';
import { folded } from '../fold';
import type { Source } from '../sources';
import type { Wanted } from '../wanted';
import { byFormat, plain, type Writing } from './writing';

/** A step of the expression that changes a text. */
const byStep = (
  id: string,
  cost: number,
  step: string,
  change: (text: string) => string,
): Writing => ({
  id,
  cost,
  wrap: (expr) => `${expr}${step}`,
  write: (value) => change(plainText(value) ?? ''),
});

const wholes = [
  plain(0),
  byStep('upper', 0.4, '.toUpperCase()', (own) => own.toUpperCase()),
  byStep('lower', 0.5, '.toLowerCase()', (own) => own.toLowerCase()),
  byStep('trim', 0.3, '.trim()', (own) => own.trim()),
];
const parts = [
  byStep('first word', 1.2, '.split(" ")[0]', (own) => own.split(' ')[0] ?? ''),
  byStep('initial', 1, '.slice(0, 1)', (own) => own.slice(0, 1)),
  byStep('initial upper', 1.2, '.slice(0, 1).toUpperCase()', (own) =>
    own.slice(0, 1).toUpperCase(),
  ),
];

export function textWritings(text: string, { locale, fields, lower }: Wanted): Writing[] {
  const byChange = (change: 'sentence' | 'title' | 'initials', cost: number) =>
    byFormat({ as: 'text', change }, cost, { locale, fields });
  const isThere = lower.includes(folded(text).toLowerCase().trim());
  const initials = text
    .split(/[^\p{L}\p{N}]+/u)
    .map((word) => word.slice(0, 1))
    .join('');
  const hasInitials = initials.length > 1 && lower.includes(folded(initials).toLowerCase());
  return [
    ...(isThere ? [...wholes, byChange('sentence', 0.9), byChange('title', 1)] : []),
    ...(hasInitials ? [byChange('initials', 1.2)] : []),
    ...(/^\p{L}/u.test(text) ? parts : []),
  ];
}

const joins = [', ', ' · ', ' / ', '/', ' | ', '; ', ' ', ',', ' & ', ' + ', ' - ', '\n'];

export function listWritings(
  source: Source,
  length: number,
  { locale, fields }: Wanted,
): Writing[] {
  // Nothing stands between the elements of a list of one.
  const byJoin = joins.slice(0, length < 2 ? 1 : joins.length).map(
    (join, at): Writing => ({
      id: `join ${join}`,
      cost: 0.2 + at * 0.1,
      wrap: (expr) => `${expr}.join(${JSON.stringify(join)})`,
      write: (value) =>
        Array.isArray(value)
          ? value.flatMap((each) => plainText(each ?? undefined) ?? []).join(join)
          : '',
    }),
  );
  if (source.type.type !== 'list') return [];
  const formats = (['and', 'or', 'unit'] as const)
    .slice(0, length < 2 ? 1 : 3)
    .map((join, at) => byFormat({ as: 'list', join }, 0.5 + at * 0.4, { locale, fields }));
  return [...byJoin, ...formats];
}
