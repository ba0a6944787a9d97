import type { TextMeasures, TextPlace } from '../../core/text';
import type { Measures } from './measures';
import type { OwnFonts } from './own-fonts';

/** Measures whose code comes when the first text is to be measured: first rows wait for none of it. */
export class LateMeasures {
  private measures: Measures | undefined;
  private isComing = false;
  private own: OwnFonts = new Map();

  /** `came`: told when more can be measured than before. */
  constructor(private readonly came: () => void) {}

  /** The project's own fonts. */
  get fonts(): OwnFonts {
    return this.own;
  }

  get facesId(): number {
    return this.measures?.facesId ?? 0;
  }

  /** From now on these are the project's own fonts. */
  give(fonts: OwnFonts): void {
    this.own = fonts;
    this.measures?.give(fonts);
  }

  get edition(): number {
    return this.measures?.edition ?? 0;
  }

  /** Undefined: what it takes is still on its way. */
  at(place: TextPlace): TextMeasures | undefined {
    if (!this.isComing) void this.load(place);
    return this.measures?.at(place);
  }

  private async load(place: TextPlace): Promise<void> {
    this.isComing = true;
    try {
      const [{ Measures }, { browserFiles }] = await Promise.all([
        import('./measures'),
        import('./browser-files'),
      ]);
      this.measures = new Measures(browserFiles, this.came);
      this.measures.give(this.own);
      this.measures.at(place);
    } catch {
      // Without the code rows keep their rough heights; the next one that is asked for tries again.
      this.isComing = false;
    }
  }
}
