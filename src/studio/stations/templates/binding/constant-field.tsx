import X from 'lucide-react/icons/x';
import { useState } from 'react';
import { isLocale } from '../../../../core/formats';
import { coloursOf, spacingOf, stylesOf } from '../../../../core/project';
import {
  type Constant,
  colourOf,
  isBound,
  isName,
  type Padding,
  type Property,
  propertyOf,
  type Radius,
  type Size,
} from '../../../../core/templates';
import { ChoiceChips, MenuButton, Row } from '../../../shared/controls/controls';
import { NumberField } from '../../../shared/controls/number-field';
import { make } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import type { Selection } from '../selection';
import { setAll } from './binding-edits';
import { picturesOf, WordPicture } from './word-pictures';

interface ConstantFieldProps {
  readonly selection: Selection;
  readonly name: string;
  readonly property: Property;
}

/** What a person sets of a property that no value feeds, by what the property takes. */
export function ConstantField({ selection, name, property }: ConstantFieldProps) {
  return (
    <Row
      words={
        <>
          {property.words}
          <Differs {...{ selection, name }} />
        </>
      }
    >
      <span className="flex items-start gap-1.5">
        <span className="min-w-0 flex-1">
          <ConstantInput {...{ selection, name, property }} />
        </span>
        <NoProperty {...{ selection, name, property }} />
      </span>
    </Row>
  );
}

/** Where several parts are selected that do not say the same. */
export function Differs({ selection: { parts }, name }: Omit<ConstantFieldProps, 'property'>) {
  const [first, ...others] = parts.map((part) => JSON.stringify(propertyOf(part, name)));
  if (others.every((other) => other === first)) return null;
  return (
    <span className="block text-sm text-weld" title="Setting it sets all of them">
      differs
    </span>
  );
}

/** Puts a property that takes room only while it is set back to what its kind says. */
export function NoProperty({ selection, name, property }: ConstantFieldProps) {
  if (!property.isRare || propertyOf(selection.part, name) === undefined) return null;
  return (
    <button
      type="button"
      aria-label={`No ${property.words}`}
      title={`No ${property.words}`}
      className="grid size-6 shrink-0 place-items-center rounded-full text-ash hover:bg-paper hover:text-ink"
      onClick={() => make(setAll(selection, name, undefined))}
    >
      <X size={13} aria-hidden="true" />
    </button>
  );
}

export function ConstantInput({ selection, name, property }: ConstantFieldProps) {
  const { part } = selection;
  const said = propertyOf(part, name);
  const value = said === undefined || isBound(said) ? property.default : said;
  const label = property.words.slice(0, 1).toUpperCase() + property.words.slice(1);
  const set = (next: Constant) =>
    make(
      setAll(
        selection,
        name,
        next,
        typeof next === 'object' || typeof next === 'number' ? `${part.id} ${name}` : undefined,
      ),
    );
  switch (property.kind) {
    case 'word':
      return (
        <WordChips
          {...{ label, value, set }}
          among={property.among}
          pictures={picturesOf(part, name)}
        />
      );
    case 'style':
      return <StyleField {...{ selection, value, set }} />;
    case 'colour':
      return <ColourField {...{ selection, label, value, set }} />;
    case 'condition':
      return <Condition {...{ label, value, set }} />;
    case 'number':
      return (
        <span className="flex items-center gap-1.5">
          <NumberField
            label={label}
            value={typeof value === 'number' ? value : (stepPx(selection, value) ?? property.min)}
            min={property.min}
            max={property.max}
            step={property.step}
            onChange={set}
          />
          {property.takesSteps && <Steps {...{ selection, label, value, set }} />}
        </span>
      );
    case 'size':
      return <SizeField {...{ label, set }} size={sizeOf(value)} among={property.among} />;
    case 'padding':
      return (
        <span className="flex flex-wrap items-center gap-1.5">
          <PaddingField {...{ set }} padding={paddingOf(value, stepPx(selection, value))} />
          <Steps {...{ selection, label, value, set }} />
        </span>
      );
    case 'radius':
      return <RadiusField {...{ label, value, set }} max={property.max} />;
    case 'lines':
      return <LinesField {...{ label, value, set }} max={property.max} />;
    case 'language':
      return <LanguageField {...{ label, value, set }} />;
    case 'name':
      return <NameField {...{ label, value, set }} />;
    case 'list':
    case 'shared':
    case 'input':
    case 'text':
    case 'address':
    case 'picture':
      return null;
  }
}

interface StyleFieldProps extends Omit<InputProps, 'label'> {
  readonly selection: Selection;
}

function StyleField({ selection, value, set }: StyleFieldProps) {
  const names = stylesOf(selection.project).map(({ name }) => name);
  return (
    <MenuButton
      label="Style"
      words={typeof value === 'string' ? value : 'that of its label'}
      entries={[
        ...names.map((name) => ({
          words: name,
          isChosen: name === value,
          onChoose: () => set(name),
        })),
        {
          words: 'Edit styles',
          onChoose: () =>
            goWithin({ panel: 'styles', style: typeof value === 'string' ? value : undefined }),
        },
      ]}
    />
  );
}

/** The length of a spacing step; undefined: the value names none. */
const stepPx = ({ project }: Selection, value: Constant | undefined): number | undefined =>
  spacingOf(project).find(({ name }) => name === value)?.px;

/** A length by its name, for all that names it. */
function Steps({ selection, label, value, set }: InputProps & { readonly selection: Selection }) {
  return (
    <MenuButton
      label={`${label} by name`}
      words={typeof value === 'string' ? value : '–'}
      entries={[
        ...spacingOf(selection.project).map(({ name, px }) => ({
          words: name,
          hint: `${px} px`,
          isChosen: name === value,
          onChoose: () => set(name),
        })),
        { words: 'Edit spacing', onChoose: () => goWithin({ panel: 'colours' }) },
      ]}
    />
  );
}

interface ColourFieldProps extends InputProps {
  readonly selection: Selection;
}

function ColourField({ selection, label, value, set }: ColourFieldProps) {
  const colours = coloursOf(selection.project);
  const said = colourOf(colours, value);
  return (
    <span className="flex items-center gap-1.5">
      <span
        className="size-4 shrink-0 rounded-full border border-rule"
        style={{ background: said && `light-dark(${said.light}, ${said.dark})` }}
        aria-hidden="true"
      />
      <MenuButton
        label={label}
        words={typeof value === 'string' ? value : 'none'}
        entries={[
          ...colours.map(({ name }) => ({
            words: name,
            isChosen: name === value,
            onChoose: () => set(name),
          })),
          { words: 'Edit colours', onChoose: () => goWithin({ panel: 'colours' }) },
        ]}
      />
    </span>
  );
}

const NameField = (props: InputProps) => <TakenText {...props} isOne={isName} />;

/** A tag is taken once it names a language. */
const LanguageField = (props: InputProps) => <TakenText {...props} isOne={isLocale} />;

/** What is written is taken once it is something. */
function TakenText({
  label,
  value,
  set,
  isOne,
}: InputProps & { isOne: (text: string) => boolean }) {
  const [typed, setTyped] = useState({ of: value, text: '' });
  const text = typed.of === value && typed.text !== '' ? typed.text : String(value ?? '');
  return (
    <input
      aria-label={label}
      className="h-7 w-24 rounded-md border border-rule bg-paper px-2 aria-invalid:border-madder"
      value={text}
      aria-invalid={!isOne(text)}
      spellCheck={false}
      onChange={({ target }) => {
        const isTaken = isOne(target.value);
        setTyped({ of: isTaken ? target.value : value, text: target.value });
        if (isTaken) set(target.value);
      }}
    />
  );
}

interface InputProps {
  readonly label: string;
  readonly value: Constant | undefined;
  readonly set: (next: Constant) => void;
}

interface WordChipsProps extends InputProps {
  readonly among: readonly string[];
  readonly pictures: ReturnType<typeof picturesOf>;
}

function WordChips({ label, value, set, among, pictures }: WordChipsProps) {
  return (
    <ChoiceChips
      label={label}
      options={among.map((word) => ({
        value: word,
        words: word,
        ...(pictures !== undefined && { picture: <WordPicture of={pictures} word={word} /> }),
      }))}
      chosen={typeof value === 'string' ? value : (among[0] ?? '')}
      onChoose={set}
    />
  );
}

function Condition({ label, value, set }: InputProps) {
  return (
    <ChoiceChips
      label={label}
      options={['no', 'yes']}
      chosen={value === true ? 'yes' : 'no'}
      onChoose={(next) => set(next === 'yes')}
    />
  );
}

const sizeOf = (value: Constant | undefined): Size =>
  typeof value === 'object' && ('share' in value || 'fixed' in value) ? value : 'fit';

interface SizeFieldProps {
  readonly label: string;
  readonly size: Size;
  readonly among: readonly ('fit' | 'share' | 'fixed')[];
  readonly set: (size: Size) => void;
}

const firstSizes: Readonly<Record<'fit' | 'share' | 'fixed', Size>> = {
  fit: 'fit',
  share: { share: 1 },
  fixed: { fixed: 80 },
};

function SizeField({ label, size, among, set }: SizeFieldProps) {
  const kind = size === 'fit' ? 'fit' : 'share' in size ? 'share' : 'fixed';
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {among.length > 1 && (
        <ChoiceChips
          label={label}
          options={among}
          chosen={kind}
          onChoose={(next) => next !== kind && set(firstSizes[next])}
        />
      )}
      {size !== 'fit' && 'share' in size && (
        <NumberField
          label={`Share of the ${label.toLowerCase()}`}
          value={size.share}
          min={1}
          max={100}
          onChange={(share) => set({ share })}
        />
      )}
      {size !== 'fit' && 'fixed' in size && (
        <NumberField
          label={`${label} in px`}
          value={size.fixed}
          min={1}
          max={1000}
          onChange={(fixed) => set({ fixed })}
        />
      )}
    </span>
  );
}

const paddingOf = (value: Constant | undefined, px = 0): Padding =>
  typeof value === 'object' && 'top' in value ? value : { start: px, end: px, top: px, bottom: px };

interface PaddingFieldProps {
  readonly padding: Padding;
  readonly set: (padding: Padding) => void;
}

function PaddingField({ padding, set }: PaddingFieldProps) {
  return (
    <span className="flex items-center gap-1.5">
      <NumberField
        label="Padding at the sides"
        value={padding.start}
        min={0}
        max={200}
        onChange={(sides) => set({ ...padding, start: sides, end: sides })}
      />
      sides
      <NumberField
        label="Padding above and below"
        value={padding.top}
        min={0}
        max={200}
        onChange={(ends) => set({ ...padding, top: ends, bottom: ends })}
      />
    </span>
  );
}

function RadiusField({ label, value, set, max }: InputProps & { max: number }) {
  const kind = value === 'circle' ? 'circle' : value === 0 ? 'square' : 'rounded';
  const radii: Readonly<Record<typeof kind, Radius>> = { square: 0, rounded: 6, circle: 'circle' };
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <ChoiceChips
        label={label}
        options={['square', 'rounded', 'circle']}
        chosen={kind}
        onChoose={(next) => set(radii[next])}
      />
      {kind === 'rounded' && typeof value === 'number' && (
        <NumberField label={`${label} in px`} value={value} min={1} max={max} onChange={set} />
      )}
    </span>
  );
}

function LinesField({ label, value, set, max }: InputProps & { readonly max: number }) {
  const isAll = value === 'all';
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <ChoiceChips
        label={label}
        options={['at most', 'all']}
        chosen={isAll ? 'all' : 'at most'}
        onChoose={(next) => set(next === 'all' ? 'all' : 1)}
      />
      {!isAll && (
        <NumberField
          label="How many lines"
          value={typeof value === 'number' ? value : 1}
          min={1}
          max={max}
          onChange={set}
        />
      )}
    </span>
  );
}
