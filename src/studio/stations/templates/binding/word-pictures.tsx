import type { Part } from '../../../../core/templates';

/** In px of a picture 14 wide and high: from the start, from the top, width, height. */
type Bar = readonly [x: number, y: number, width: number, height: number];

/** What words of a property do, drawn: bars are parts or lines of text; `framed`: within the room that they have. */
interface WordPictures {
  readonly bars: Readonly<Record<string, readonly Bar[]>>;
  readonly isFramed?: true;
}

const lines: WordPictures = {
  bars: {
    start: [
      [1, 2, 12, 2],
      [1, 6, 6, 2],
      [1, 10, 9, 2],
    ],
    centre: [
      [1, 2, 12, 2],
      [4, 6, 6, 2],
      [2.5, 10, 9, 2],
    ],
    end: [
      [1, 2, 12, 2],
      [7, 6, 6, 2],
      [4, 10, 9, 2],
    ],
  },
};

/** Parts beside each other: where they stand between top and bottom. */
const align: WordPictures = {
  bars: {
    start: [
      [2, 1, 4, 6],
      [8, 1, 4, 9],
    ],
    centre: [
      [2, 4, 4, 6],
      [8, 2.5, 4, 9],
    ],
    end: [
      [2, 7, 4, 6],
      [8, 4, 4, 9],
    ],
    stretch: [
      [2, 1, 4, 12],
      [8, 1, 4, 12],
    ],
  },
};

const upright = (...starts: readonly number[]): readonly Bar[] =>
  starts.map((x) => [x, 3, 2, 8] as const);

/** Parts beside each other: where the room that is left goes. */
const distribute: WordPictures = {
  isFramed: true,
  bars: {
    start: upright(1, 4, 7),
    centre: upright(2.5, 6, 9.5),
    end: upright(5, 8, 11),
    between: upright(1, 6, 11),
    around: upright(2.2, 6, 9.8),
    evenly: upright(3, 6, 9),
  },
};

const direction: WordPictures = {
  bars: {
    across: [
      [1, 3, 5, 8],
      [8, 3, 5, 8],
    ],
    down: [
      [2, 1, 10, 5],
      [2, 8, 10, 5],
    ],
    over: [
      [1, 1, 9, 8],
      [6, 8, 7, 5],
    ],
  },
};

const fit: WordPictures = {
  isFramed: true,
  bars: { contain: [[2, 4.5, 10, 5]], cover: [[1, 1, 12, 12]] },
};

const turned = ({ bars, ...others }: WordPictures): WordPictures => ({
  ...others,
  bars: Object.fromEntries(
    Object.entries(bars).map(([word, all]) => [
      word,
      all.map(([x, y, width, height]): Bar => [y, x, height, width]),
    ]),
  ),
});

/** The pictures of a property's words; undefined: its words say more. */
export function picturesOf(part: Part, property: string): WordPictures | undefined {
  if (part.part === 'label' && property === 'align') return lines;
  if (part.part === 'image' && property === 'fit') return fit;
  if (part.part !== 'stack') return undefined;
  const isDown = part.direction === 'down';
  if (property === 'direction') return direction;
  if (property === 'align') return isDown ? turned(align) : align;
  if (property === 'distribute') return isDown ? turned(distribute) : distribute;
  return undefined;
}

interface WordPictureProps {
  readonly of: WordPictures;
  readonly word: string;
}

export function WordPicture({ of: { bars, isFramed }, word }: WordPictureProps) {
  return (
    <svg width="14" height="14" aria-hidden="true" className="rtl:-scale-x-100">
      {isFramed && (
        <rect x="0.5" y="0.5" width="13" height="13" fill="none" stroke="currentColor" />
      )}
      {(new Map(Object.entries(bars)).get(word) ?? []).map(([x, y, width, height]) => (
        <rect key={`${x} ${y}`} {...{ x, y, width, height }} rx="0.8" fill="currentColor" />
      ))}
    </svg>
  );
}
