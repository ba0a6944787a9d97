import { useState } from 'react';
import { tokensOf } from '../../../core/project';
import {
  type Bound,
  type Constant,
  isBound,
  namesOf,
  type Property,
  type Setting,
  settingsIn,
} from '../../../core/templates';
import { pathText } from '../../../core/values';
import { Combobox } from '../../shared/controls/combobox';
import { make } from '../../shared/session/editing';
import { useOffering } from '../../shared/session/offers';
import { setAll } from './binding/binding-edits';
import { useLikelyAddress } from './binding/link-field';
import type { Selection } from './selection';

interface AddLineProps {
  readonly selection: Selection;
  /** Those that take no room yet: offered before anything is written. */
  readonly unset: readonly (readonly [name: string, Property])[];
  readonly others: readonly (readonly [name: string, Property])[];
}

/**
 * Sets a property that takes no room until then, found by its first letters, with its value in the
 * same line: “padding 12”, “lines all”, “colour when stock < 5 madder”.
 */
export default function AddLine({ selection, unset, others }: AddLineProps) {
  const { project, part } = selection;
  const likelyAddress = useLikelyAddress(selection);
  const firstList = pathText([
    selection.type?.fields.find(({ type }) => type === 'list')?.name ?? 'item',
  ]);
  const [typed, setTyped] = useState('');
  const names = (declared: Property) => namesOf(declared, tokensOf(project));
  const settingsFor = (words: string) => {
    const among = words.trim() === '' ? unset : [...unset, ...others];
    return settingsIn(words, Object.fromEntries(among), names);
  };
  const firstOf = ({ kind, firstExpr }: Property): Constant | Bound | undefined => {
    if (firstExpr !== undefined) return { expr: firstExpr };
    if (kind === 'address') return { expr: likelyAddress };
    if (kind === 'list') return { expr: firstList };
    if (kind === 'picture') return project.pictures[0]?.name ?? '';
    return kind === 'text' ? part.id : undefined;
  };
  const take = (setting: Setting | undefined) => {
    if (setting === undefined) return;
    const { property, declared } = setting;
    const value = setting.value ?? firstOf(declared);
    if (value === undefined) return;
    if (make(setAll(selection, property, value)) === undefined) setTyped('');
  };
  // The same words set it in *find or do*.
  useOffering('properties', (words) =>
    settingsFor(words)
      .filter(({ isUnread }) => !isUnread)
      .slice(0, maxOffers)
      .map((setting) => ({
        name: `${setting.declared.words} ${inWords(setting.value)}`,
        hint: `of ${part.id}`,
        run: () => take(setting),
      })),
  );
  return (
    <div className="py-1">
      <Combobox
        label="Add a property"
        among="Properties"
        placeholder="add …"
        title="A property by its first letters, and its value: padding 12"
        look="h-7 w-full rounded-md border border-transparent bg-transparent px-1 hover:border-rule focus:border-woad focus:bg-paper"
        text={typed}
        onText={setTyped}
        options={() =>
          settingsFor(typed).map((setting) => ({
            key: setting.property,
            words: setting.declared.words,
            hint: setting.isUnread ? takes(setting.declared) : inWords(setting.value),
            isOff: setting.isUnread,
          }))
        }
        none="No property begins so."
        onTake={(property) => take(settingsFor(typed).find((each) => each.property === property))}
      />
    </div>
  );
}

const maxOffers = 6;

/** What it would become. */
function inWords(value: Setting['value']): string {
  if (isBound(value)) return value.expr;
  if (typeof value === 'object') {
    if ('fixed' in value) return `${value.fixed} px`;
    return 'share' in value ? `share ${value.share}` : `${value.top} ${value.start}`;
  }
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value ?? '');
}

/** What its value can be. */
function takes(declared: Property): string {
  switch (declared.kind) {
    case 'word':
    case 'size':
      return declared.among.join(', ');
    case 'number':
      return `${declared.min} to ${declared.max}`;
    case 'condition':
      return 'yes or no';
    case 'lines':
      return `1 to ${declared.max}, all`;
    case 'style':
    case 'colour':
      return `one of the project’s ${declared.kind}s`;
    default:
      return 'another value';
  }
}
