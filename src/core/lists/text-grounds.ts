import { contrastOn, ownValue } from '../base';
import { type Colour, colourOf, colourOfRows, type EntryValue, styleNamed } from '../templates';
import type { PartPlan, RowPlan } from './frame';

/** Where a value comes from: the plan, or a slot of an entry. */
type Source = { readonly fixed: unknown } | { readonly slot: number };

/** A text of a row, and what its colour and what lies behind it hang on. */
export interface TextOnGround {
  readonly part: string;
  /** The property that says its colour. */
  readonly property: string;
  /** The first that says any counts. */
  readonly colours: readonly Source[];
  readonly style: Source;
  /** Colours behind it, the farthest first; each is seen through those after it. */
  readonly grounds: readonly Source[];
}

/** What is behind all rows, in both schemes. */
const behindAll = colourOfRows('ground');

/** The texts of a row that stand on colours; on a picture, nobody knows what is behind them. */
export function textsOnGrounds({ row, slots }: Pick<RowPlan, 'row' | 'slots'>): TextOnGround[] {
  const at = new Map(slots.map(({ part, property }, slot) => [`${part} ${property}`, slot]));
  const source = ({ id, values }: PartPlan, property: string): Source => {
    const slot = at.get(`${id} ${property}`);
    return slot === undefined ? { fixed: ownValue(values, property) } : { slot };
  };
  const texts: TextOnGround[] = [];
  const visit = (part: PartPlan, grounds: readonly Source[] | undefined, label?: PartPlan) => {
    const own = (property: string) => source(part, property);
    const tell = (property: string, colours: readonly Source[], on = grounds) => {
      if (on === undefined) return;
      const style = label === undefined ? own('style') : source(label, 'style');
      texts.push({ part: part.id, property, colours, style, grounds: on });
    };
    switch (part.part) {
      case 'label':
      case 'link':
        tell('colour', [own('colour')]);
        for (const run of part.children) visit(run, grounds, part);
        return;
      case 'run':
        // A style of its own counts before the colour of its label.
        if (label !== undefined && isUnsaid(own('style')))
          tell('colour', [own('colour'), source(label, 'colour')]);
        else texts.push(...ofStyledRun(part, own, grounds));
        return;
      case 'badge':
        tell('colour', [own('colour')], grounds && [...grounds, own('tint')]);
        return;
      case 'button':
        if (ownValue(part.values, 'kind') === 'filled')
          tell(
            'colour',
            [own('colour'), { fixed: 'ground' }],
            grounds && [...grounds, own('tint')],
          );
        else tell('tint', [own('colour'), own('tint')]);
        return;
      case 'shared':
        for (const child of part.children) visit(child, grounds);
        return;
      case 'stack': {
        const within = grounds && [...grounds, own('background')];
        const isOver = ownValue(part.values, 'direction') === 'over';
        let hasPicture = false;
        for (const child of part.children) {
          visit(child, hasPicture ? undefined : within);
          if (isOver && child.part === 'image') hasPicture = true;
        }
      }
    }
  };
  visit(row, []);
  return texts;
}

const isUnsaid = (source: Source): boolean => 'fixed' in source && source.fixed === undefined;

const ofStyledRun = (
  { id }: PartPlan,
  own: (property: string) => Source,
  grounds: readonly Source[] | undefined,
): readonly TextOnGround[] =>
  grounds === undefined
    ? []
    : [{ part: id, property: 'colour', colours: [own('colour')], style: own('style'), grounds }];

/** How a text of an entry is to be read. */
export interface Reading {
  readonly contrast: number;
  /** What it should have at least. */
  readonly least: number;
  readonly scheme: 'light' | 'dark';
  readonly colour: string;
  readonly grounds: readonly string[];
}

/** What the reading of a text hangs on: the same for the same. */
export function readingKey(
  { colours, style, grounds }: TextOnGround,
  values: readonly EntryValue[],
): string {
  let key = '';
  for (const source of [...colours, style, ...grounds])
    if ('slot' in source) key += `${String(values[source.slot])}\n`;
  return key;
}

/** In points of CSS, from which on letters are large: of 18 pt, or bold ones of 14 (WCAG 2.2, large scale). */
const [largePx, largeBoldPx, boldFrom] = [24, 18.66, 700];

const givenBy = (values: readonly EntryValue[]) => (source: Source) =>
  'slot' in source ? values[source.slot] : source.fixed;

/** What a text of an entry is drawn in; undefined: nobody knows the colour that is said. */
export function colourOfText(
  { colours: said, style }: TextOnGround,
  values: readonly EntryValue[],
  { colours, styles }: Pick<RowPlan['tokens'], 'colours' | 'styles'>,
): Pick<Colour, 'light' | 'dark'> | undefined {
  const given = givenBy(values);
  const own = said.map((source) => colourOf(colours, given(source)));
  return (
    own.find((each) => each !== undefined) ??
    colourOf(colours, styleNamed(styles, given(style)).colour)
  );
}

/** How a text is to be read in the scheme where that is harder; undefined: it has no colour. */
export function readingOf(
  text: TextOnGround,
  values: readonly EntryValue[],
  { colours, styles }: RowPlan['tokens'],
): Reading | undefined {
  const given = givenBy(values);
  const style = styleNamed(styles, given(text.style));
  const colour = colourOfText(text, values, { colours, styles });
  if (colour === undefined) return undefined;
  const grounds = text.grounds.flatMap((source) => colourOf(colours, given(source)) ?? []);
  const isLarge = style.size >= largePx || (style.size >= largeBoldPx && style.weight >= boldFrom);
  const inScheme = (scheme: 'light' | 'dark'): Reading => {
    const behind = [behindAll, ...grounds].map((each) => each[scheme]);
    const contrast = contrastOn(colour[scheme], behind) ?? 21;
    return { contrast, least: isLarge ? 3 : 4.5, scheme, colour: colour[scheme], grounds: behind };
  };
  const [light, dark] = [inScheme('light'), inScheme('dark')];
  return dark.contrast < light.contrast ? dark : light;
}
