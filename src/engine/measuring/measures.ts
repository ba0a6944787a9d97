import {
  chromiumBreaks,
  type FindBreaks,
  isIn,
  type Slice,
  type SliceChain,
  TextMeasures,
  type TextPlace,
} from '../../core/text';
import { HarfBuzz } from './harfbuzz';
import { type OwnFonts, sliceOfOwn } from './own-fonts';
import { slicesOf } from './pack';
import { chainFor, familiesFor } from './row-fonts';

/** Where measures come from: the server of the page, or the files of the command line. */
export interface MeasureFiles {
  readonly wasm: () => Promise<WebAssembly.Module>;
  /** The families, and near which characters each has any. */
  readonly index: () => Promise<readonly FamilyFile[]>;
  /** A pack, without its gzip. */
  readonly pack: (file: string) => Promise<Uint8Array>;
  readonly findBreaks: () => Promise<FindBreaks>;
}

export interface FamilyFile {
  readonly family: string;
  readonly file: string;
  readonly ranges: readonly number[];
}

const box = { family: 'Row Box', file: 'box.pack', ranges: [] };

/** Measures texts with the faces that have come; what texts lack is fetched. */
export class Measures {
  /** It is another one whenever more can be measured. */
  edition = 0;
  /** It is another one whenever texts may be measured otherwise than before. */
  facesId = 0;
  private own: OwnFonts = new Map();
  private readonly ownSlices = new Map<string, Slice>();
  private harfbuzz: HarfBuzz | undefined;
  private findBreaks: FindBreaks | undefined;
  private index: readonly FamilyFile[] = [];
  private readonly slices = new Map<string, readonly Slice[]>();
  private readonly coming = new Set<string>();
  /** The texts measured in each place. They have all their faces: more of them change nothing of it. */
  private readonly texts = new Map<string, TextMeasures>();
  /** The chain of each language and font of the project's own, of the slices that are there. */
  private readonly chains = new Map<string, SliceChain>();
  /** The characters of each language whose faces are there. */
  private readonly ready = new Map<string, Set<string>>();
  private begun: Promise<void> | undefined;
  private waiting: { readonly done: () => void; readonly fail: (why: unknown) => void }[] = [];

  /** `came`: told when more can be measured than before. */
  constructor(
    private readonly files: MeasureFiles,
    private readonly came: () => void,
  ) {}

  /** From now on these are the project's own fonts. */
  give(fonts: OwnFonts): void {
    this.own = fonts;
    this.ownSlices.clear();
    this.texts.clear();
    this.chains.clear();
    this.facesId += 1;
    this.tell();
  }

  /** Undefined: what it takes is still on its way. */
  at(place: TextPlace): TextMeasures | undefined {
    this.begun ??= this.begin().catch((error: unknown) => this.failed(error));
    if (this.harfbuzz === undefined) return undefined;
    const id = `${place.ratio} ${place.language}`;
    let measures = this.texts.get(id);
    if (measures === undefined || measures.isFull) {
      measures = this.measuresAt(place);
      this.texts.set(id, measures);
    }
    return measures;
  }

  /** Whether anything that was sent for has not come yet. */
  get isWaiting(): boolean {
    const hasBegun = this.begun !== undefined && this.harfbuzz === undefined;
    return hasBegun || [...this.coming].some((family) => !this.slices.has(family));
  }

  /** Once more can be measured than now; rejected where what is sent for does not come. */
  more(): Promise<void> {
    return new Promise((done, fail) => {
      this.waiting.push({ done, fail });
    });
  }

  private failed(error: unknown): void {
    for (const { fail } of this.waiting) fail(error);
    this.waiting = [];
  }

  private measuresAt(place: TextPlace): TextMeasures {
    const { language } = place;
    return new TextMeasures(place, {
      chain: (family) => this.chainOf(language, family),
      hasFaces: (text) => this.hasFacesFor(text, language),
      draws: (char, family) => this.draws(char, family),
      findBreaks: chromiumBreaks(this.findBreaks ?? (() => [])),
    });
  }

  private chainOf(language: string, family: string | undefined): SliceChain {
    const id = `${family ?? ''} ${language}`;
    const chain = this.chains.get(id) ?? chainFor(language, this.slices, this.ownSlice(family));
    this.chains.set(id, chain);
    return chain;
  }

  private ownSlice(family: string | undefined): Slice | undefined {
    const file = family === undefined ? undefined : this.own.get(family);
    if (family === undefined || file === undefined || this.harfbuzz === undefined) return undefined;
    const slice = this.ownSlices.get(family) ?? sliceOfOwn(family, file, this.harfbuzz);
    this.ownSlices.set(family, slice);
    return slice;
  }

  private draws(char: number, family: string | undefined): boolean {
    const own = this.ownSlice(family);
    if (own !== undefined && isIn(own.ranges, char)) return true;
    for (const [family, slices] of this.slices)
      if (family !== box.family && slices.some(({ ranges }) => isIn(ranges, char))) return true;
    return false;
  }

  private async begin(): Promise<void> {
    const [module, index, findBreaks] = await Promise.all([
      this.files.wasm(),
      this.files.index(),
      this.files.findBreaks(),
    ]);
    const harfbuzz = await HarfBuzz.load(module);
    this.index = index;
    this.findBreaks = findBreaks;
    const [first] = index;
    for (const each of first === undefined ? [box] : [first, box])
      this.slices.set(each.family, slicesOf(await this.files.pack(each.file), harfbuzz));
    this.harfbuzz = harfbuzz;
    this.tell();
  }

  /** Whether all faces are there that a text takes; those that are not are sent for. */
  private hasFacesFor(words: string, language: string): boolean {
    const ready = this.ready.get(language) ?? new Set<string>();
    this.ready.set(language, ready);
    let hasAll = true;
    for (const char of words) {
      if (ready.has(char)) continue;
      const missing = this.missingFor(char.codePointAt(0) ?? 0, language);
      if (missing === undefined) ready.add(char);
      else {
        hasAll = false;
        this.fetch(missing);
      }
    }
    return hasAll;
  }

  /** The first family that may have a character and is not there; undefined: none is needed. */
  private missingFor(char: number, language: string): FamilyFile | undefined {
    for (const family of familiesFor(language)) {
      const slices = this.slices.get(family);
      if (slices?.some(({ ranges }) => isIn(ranges, char)) === true) return undefined;
      const file = this.index.find((each) => each.family === family);
      if (slices === undefined && file !== undefined && isIn(file.ranges, char)) return file;
    }
    return undefined;
  }

  private fetch({ family, file }: FamilyFile): void {
    const { harfbuzz } = this;
    if (harfbuzz === undefined || this.coming.has(family)) return;
    this.coming.add(family);
    this.files.pack(file).then(
      (bytes) => {
        this.slices.set(family, slicesOf(bytes, harfbuzz));
        this.chains.clear();
        this.tell();
      },
      // Without it the text keeps its rough height.
      (error: unknown) => this.failed(error),
    );
  }

  private tell(): void {
    this.edition += 1;
    for (const { done } of this.waiting) done();
    this.waiting = [];
    this.came();
  }
}
