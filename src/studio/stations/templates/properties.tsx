import { edits } from '../../../core/project';
import {
  type ImagePart,
  type LabelPart,
  type Part,
  type Size,
  type StackPart,
  textStyleNames,
} from '../../../core/templates';
import { ChoiceChips, Heading, NumberField, Row } from '../../shared/controls';
import { make } from '../../shared/editing';
import { BindingField } from './binding-field';
import { LinkField } from './link-field';
import type { Selection } from './selection';

/** What the selected part shows, and what it looks like. */
export function Properties({ selection }: { readonly selection: Selection }) {
  const { part, template } = selection;
  const restyle = (
    name: string,
    change: Partial<LabelPart> | Partial<ImagePart> | Partial<StackPart>,
  ) => make(edits.restyle(template.id, part.id, name, (old) => changed(old, change)));
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)] content-start overflow-y-auto max-[1100px]:grid-cols-1 in-data-[windows=two]:grid-cols-1">
      <section
        aria-label="Shows"
        className="border-r border-rule px-3 py-1.5 has-data-wide:col-span-2"
      >
        <Heading>Shows</Heading>
        {part.part === 'label' && (
          <>
            <BindingField selection={selection} property="text" binding={part.text} />
            <LinkField selection={selection} part={part} />
          </>
        )}
        {part.part === 'image' && (
          <BindingField selection={selection} property="picture" binding={part.picture} />
        )}
        {part.part === 'stack' && (
          <p className="text-ash">
            A stack holds parts {part.direction === 'across' ? 'beside' : 'under'} each other.
            Select one of them in the outline, or drop a value between them.
          </p>
        )}
      </section>
      <section aria-label="Looks like" className="px-3 py-1.5">
        <Heading>Looks like</Heading>
        {part.part === 'label' && <LabelLook part={part} restyle={restyle} />}
        {part.part === 'image' && <ImageLook part={part} restyle={restyle} />}
        {part.part === 'stack' && <StackLook part={part} restyle={restyle} />}
      </section>
    </div>
  );
}

/** The same part with some properties changed; a property of another kind of part changes nothing. */
function changed(part: Part, change: object): Part {
  return { ...part, ...change };
}

interface LookProps<T extends Part> {
  readonly part: T;
  readonly restyle: (name: string, change: Partial<T>) => void;
}

function LabelLook({ part, restyle }: LookProps<LabelPart>) {
  return (
    <>
      <Row words="style">
        <ChoiceChips
          label="Style"
          options={textStyleNames}
          chosen={part.style}
          onChoose={(style) => restyle(`Style ${style}`, { style })}
        />
      </Row>
      <Row words="width">
        <WidthField width={part.width} onChange={(width) => restyle('Width', { width })} />
      </Row>
      <Row words="align">
        <ChoiceChips
          label="Align"
          options={['start', 'centre', 'end']}
          chosen={part.align ?? 'start'}
          onChoose={(align) => restyle(`Align ${align}`, { align })}
        />
      </Row>
    </>
  );
}

function ImageLook({ part, restyle }: LookProps<ImagePart>) {
  return (
    <>
      <Row words="size">
        <span className="flex items-center gap-1.5">
          <NumberField
            label="Width"
            value={part.widthPx}
            least={8}
            most={400}
            onChange={(widthPx) => restyle('Width', { widthPx })}
          />
          ×
          <NumberField
            label="Height"
            value={part.heightPx}
            least={8}
            most={400}
            onChange={(heightPx) => restyle('Height', { heightPx })}
          />
        </span>
      </Row>
      <Row words="shape">
        <ChoiceChips
          label="Shape"
          options={['square', 'rounded', 'circle']}
          chosen={part.shape}
          onChoose={(shape) => restyle(`Shape ${shape}`, { shape })}
        />
      </Row>
      <Row words="fit">
        <ChoiceChips
          label="Fit"
          options={['cover', 'contain']}
          chosen={part.fit}
          onChoose={(fit) => restyle(`Fit ${fit}`, { fit })}
        />
      </Row>
    </>
  );
}

function StackLook({ part, restyle }: LookProps<StackPart>) {
  const { padding } = part;
  return (
    <>
      <Row words="runs">
        <ChoiceChips
          label="Direction"
          options={['across', 'down']}
          chosen={part.direction}
          onChoose={(direction) =>
            restyle(`Runs ${direction}`, {
              direction,
              align: direction === 'across' ? 'centre' : 'stretch',
            })
          }
        />
      </Row>
      <Row words="gap">
        <NumberField
          label="Gap"
          value={part.gap}
          least={0}
          most={200}
          onChange={(gap) => restyle('Gap', { gap })}
        />
      </Row>
      <Row words="padding">
        <span className="flex items-center gap-1.5">
          <NumberField
            label="Padding at the sides"
            value={padding?.start ?? 0}
            least={0}
            most={200}
            onChange={(sides) =>
              restyle('Padding', {
                padding: { top: 0, bottom: 0, ...padding, start: sides, end: sides },
              })
            }
          />
          sides
          <NumberField
            label="Padding above and below"
            value={padding?.top ?? 0}
            least={0}
            most={200}
            onChange={(ends) =>
              restyle('Padding', {
                padding: { start: 0, end: 0, ...padding, top: ends, bottom: ends },
              })
            }
          />
        </span>
      </Row>
      {part.id !== 'row' && (
        <Row words="width">
          <WidthField width={part.width} onChange={(width) => restyle('Width', { width })} />
        </Row>
      )}
    </>
  );
}

function WidthField({
  width,
  onChange,
}: {
  readonly width: Size;
  readonly onChange: (width: Size) => void;
}) {
  const kind = width === 'fit' ? 'fit' : 'share' in width ? 'share' : 'fixed';
  const sizes: Readonly<Record<typeof kind, Size>> = {
    fit: 'fit',
    share: { share: 1 },
    fixed: { fixed: 80 },
  };
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      <ChoiceChips
        label="Width"
        options={['fit', 'share', 'fixed']}
        chosen={kind}
        onChoose={(next) => next !== kind && onChange(sizes[next])}
      />
      {width !== 'fit' && 'share' in width && (
        <NumberField
          label="Share"
          value={width.share}
          least={1}
          most={100}
          onChange={(share) => onChange({ share })}
        />
      )}
      {width !== 'fit' && 'fixed' in width && (
        <NumberField
          label="Width in px"
          value={width.fixed}
          least={1}
          most={1000}
          onChange={(fixed) => onChange({ fixed })}
        />
      )}
    </span>
  );
}
