import { directionOf, type TextDirection } from '../base';
import { localeOf, type Project } from '../project';

/** How a list stands where rows are expected to be so and not otherwise. */
export interface ExpectedSetting {
  readonly id: string;
  readonly list: string;
  /** Inner width of the list, in CSS px. */
  readonly width: number;
  /** Device px in a CSS px. */
  readonly ratio: number;
  /** In per cent of what styles say. */
  readonly textSize: number;
  /** BCP 47. */
  readonly locale: string;
  readonly direction: TextDirection;
  /** Undefined: the project has no looks. */
  readonly look?: string;
  /** The time of all rows, as ISO 8601 with a zone. */
  readonly now: string;
}

/** Rows that tell how long ago something was are the same whenever they are made. */
export const expectedNow = '2026-06-15T12:00:00Z';

const usualWidthPx = 360;

type Varied = Pick<ExpectedSetting, 'width' | 'textSize' | 'locale'> & {
  readonly look: string | undefined;
};

/**
 * Each list as the project is checked: at its first width, text size, locale and look, and then with
 * each other one of these alone. All of them together would say little more, and be many.
 */
export function expectedSettings(project: Project): readonly ExpectedSetting[] {
  const { widths = [], textSizes = [], locales = [], looks = [] } = project;
  const first: Varied = {
    width: widths[0] ?? usualWidthPx,
    textSize: textSizes[0] ?? 100,
    locale: localeOf(project),
    look: looks[0]?.id,
  };
  const others: readonly Varied[] = [
    ...widths.slice(1).map((width) => ({ ...first, width })),
    ...textSizes.slice(1).map((textSize) => ({ ...first, textSize })),
    ...locales.slice(1).map((locale) => ({ ...first, locale })),
    ...looks.slice(1).map(({ id }) => ({ ...first, look: id })),
  ];
  const taken = new Set<string>();
  return project.lists.flatMap(({ id: list }) =>
    [first, ...others].map(({ look, ...varied }): ExpectedSetting => {
      const wish = [list, varied.width, `${varied.textSize}%`, varied.locale, look ?? []].flat();
      return {
        id: freeName(wish.join(' '), taken),
        list,
        ...varied,
        ratio: 1,
        direction: directionOf(varied.locale),
        ...(look !== undefined && { look }),
        now: expectedNow,
      };
    }),
  );
}

/** Widths may well stand twice in a project. */
function freeName(wish: string, taken: Set<string>): string {
  let name = wish;
  for (let n = 2; taken.has(name); n += 1) name = `${wish} ${n}`;
  taken.add(name);
  return name;
}
