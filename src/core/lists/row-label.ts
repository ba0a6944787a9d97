import { type Bit, bitsOf, ownValue } from '../base';
import type { LabelNode, MeasuredText } from '../layout';
import { styleNamed, type TextStyle } from '../templates';
import type { Scale, Value } from './box-properties';
import type { PartPlan } from './frame';
import { smallestOf } from './shrinking';

/** What a text is measured by. */
export interface LabelFont {
  /** The size of letters, in CSS px. */
  readonly sizePx: number;
  readonly weight: number;
  /** What stands after each letter, in CSS px. */
  readonly spacingPx: number;
  /** A font of the project's own, by the id of its content; undefined: none. */
  readonly family: string | undefined;
  readonly numerals: 'usual' | 'proportional' | 'tabular';
}

/** Words in one font. */
export interface FontedWords {
  readonly words: string;
  readonly font: LabelFont;
}

/** Words of a label's run that look alike. */
export interface RunWords extends FontedWords, Pick<Bit, 'look' | 'address'> {
  /** The part that says them: a run, or the label itself. */
  readonly part: string;
}

/** Measures a text of one run or more in a language, or in that of the list. */
export type MeasureText = (
  runs: readonly FontedWords[],
  language: string | undefined,
) => MeasuredText | undefined;

/** A run of a label, the label itself first: what it says of its words. */
interface RowRun {
  readonly part: string;
  words: string;
  /** Undefined: that of the label. */
  style: TextStyle | undefined;
  /** Undefined: that of the style. */
  weight: number | undefined;
  /** No space is before it. */
  isJoined: boolean;
  /** Signs in it stand for looks. */
  readonly isMarked: boolean;
}

/** A label of a row with what its text is measured by. */
export class RowLabel {
  readonly runs: readonly RowRun[];
  private fonts: readonly LabelFont[] = [];
  /** The language that its text is in; undefined: that of the list. */
  private language: string | undefined;
  private readonly numerals: LabelFont['numerals'];
  /** The smallest size that its text may shrink to, in CSS px at 100 %; undefined: it may not. */
  readonly smallestPx: number | undefined;

  constructor(
    readonly node: LabelNode,
    plan: PartPlan,
    private readonly scale: Scale,
    private readonly styles: readonly TextStyle[],
  ) {
    this.smallestPx = smallestOf(plan);
    this.language = languageOf(ownValue(plan.values, 'language'));
    this.numerals = numeralsOf(ownValue(plan.values, 'numerals'));
    this.runs = [plan, ...plan.children].map(({ id, values }) => ({
      part: id,
      words: wordsOf(ownValue(values, 'text')),
      style: this.styleOf(ownValue(values, 'style')),
      weight: weightOf(ownValue(values, 'weight')),
      isJoined: ownValue(values, 'joined') === true,
      isMarked: ownValue(values, 'markup') === 'inline',
    }));
    this.takeFonts();
  }

  /** Whether its words are all in one font. */
  get isOfOneFont(): boolean {
    return this.runs.length === 1 && this.runs.every(({ isMarked }) => !isMarked);
  }

  /** The language that it says its text is in; undefined: that of the list. */
  get ownLanguage(): string | undefined {
    return this.language;
  }

  /** What sets a property of one of its runs; undefined: nothing is measured by it. */
  setter(part: string, property: string): ((value: Value) => void) | undefined {
    const run = this.runs.find((each) => each.part === part);
    if (run === undefined) return undefined;
    switch (property) {
      case 'text':
        return (value) => {
          run.words = wordsOf(value);
        };
      case 'style':
        return (value) => {
          run.style = this.styleOf(value);
          this.takeFonts();
        };
      case 'weight':
        return (value) => {
          run.weight = weightOf(value);
          this.takeFonts();
        };
      case 'joined':
        return (value) => {
          run.isJoined = value === true;
        };
      case 'language':
        return (value) => {
          this.language = languageOf(value);
        };
      default:
        return undefined;
    }
  }

  /** Measures its text; false: that can't be done yet. */
  measure(text: MeasureText): boolean {
    const { language } = this;
    const runs = this.runsAt(0);
    const measured = text(runs, language);
    if (measured === undefined) return false;
    this.node.text = measured;
    if (this.smallestPx === undefined) return true;
    // What has its faces in one size has them in all.
    this.node.smaller = (steps) => text(this.runsAt(steps), language) ?? measured;
    return true;
  }

  /** What is measured of it, so many steps smaller; on one line, paragraphs follow each other. */
  runsAt(steps: number): readonly RunWords[] {
    const { part } = this.node;
    const space = { words: ' ', font: this.fontAt(0, steps), part, look: 'plain' } as const;
    return this.runs.flatMap((run, at) => {
      const font = this.fontAt(at, steps);
      const own = bitsOfRun(run).map(({ words, look, address }) => ({
        words: this.node.maxLines === 1 ? words.replaceAll('\n', ' ') : words,
        font: look === 'strong' ? { ...font, weight: strongWeight } : font,
        part: run.part,
        look,
        ...(address !== undefined && { address }),
      }));
      return at === 0 || run.isJoined || run.words === '' ? own : [space, ...own];
    });
  }

  /** The font of a run that is so many steps smaller. */
  fontAt(run: number, steps: number): LabelFont {
    const font = this.fonts[run] ?? noFont;
    return steps === 0 ? font : { ...font, sizePx: font.sizePx - steps * this.scale.textSize };
  }

  private styleOf(value: Value): TextStyle | undefined {
    return value === undefined ? undefined : styleNamed(this.styles, value);
  }

  private takeFonts(): void {
    const { textSize, lineUnits } = this.scale;
    const [own] = this.runs;
    const base = own?.style ?? styleNamed(this.styles, undefined);
    const styles = this.runs.map(({ style }) => style ?? base);
    this.fonts = this.runs.map(({ style, weight }) => {
      const { size, weight: ofStyle, letterSpacing = 0, family } = style ?? base;
      return {
        sizePx: size * textSize,
        weight: weight ?? (style === undefined ? own?.weight : undefined) ?? ofStyle,
        spacingPx: letterSpacing * textSize,
        family,
        numerals: this.numerals,
      };
    });
    // All lines are as high as those of its highest run.
    const highest = Math.max(...styles.map(({ lineHeight }) => lineHeight));
    this.node.lineHeight = lineUnits(highest * textSize);
    const { smallestPx } = this;
    const leastPx = Math.min(...styles.map(({ size }) => size));
    this.node.maxSteps =
      smallestPx === undefined ? 0 : Math.max(0, Math.floor(leastPx - smallestPx));
  }
}

/** How bold strong words are, whatever the words around them. */
const strongWeight = 700;

const bitsOfRun = ({ words, isMarked }: RowRun): readonly Bit[] =>
  isMarked ? bitsOf(words) : [{ words, look: 'plain' }];

const noFont: LabelFont = {
  sizePx: 0,
  weight: 400,
  spacingPx: 0,
  family: undefined,
  numerals: 'usual',
};

const wordsOf = (value: Value): string => String(value ?? '');

const weightOf = (value: Value): number | undefined =>
  typeof value === 'number' ? value : undefined;

const numeralsOf = (value: Value): LabelFont['numerals'] =>
  value === 'proportional' || value === 'tabular' ? value : 'usual';

const languageOf = (value: Value): string | undefined =>
  typeof value === 'string' && value !== '' ? value : undefined;
