import { type HeldPicture, namesShown } from '../../core/drawing';
import type { ExpectedSetting } from '../../core/handoff';
import type { Entry, RowPlan } from '../../core/lists';
import {
  isAddress,
  isDrawable,
  isSymbol,
  type PictureContents,
  pictureFinder,
} from '../../core/pictures';
import type { Project } from '../../core/project';
import { drawRows, type RowsDrawn } from '../drawing';
import type { DrawPorts } from './ports';

/** Rows of one plan that are to be drawn, one under the other. */
export interface DrawnTask {
  readonly plan: RowPlan;
  readonly entries: readonly Entry[];
  readonly widthPx: number;
  readonly setting: Pick<ExpectedSetting, 'ratio' | 'textSize' | 'locale' | 'direction'>;
  readonly scheme: 'light' | 'dark';
  readonly letters: 'text' | 'outlines';
  /** What names within the picture begin with. */
  readonly prefix: string;
}

/** What drawing knows of a project. */
export interface DrawnOf {
  readonly project: Project;
  readonly contents: PictureContents;
}

export function drawn(
  { plan, entries, setting, ...how }: DrawnTask,
  { project, contents }: DrawnOf,
  { measures, more, face, fonts: own }: DrawPorts,
): Promise<RowsDrawn> {
  const { ratio, textSize, locale: language, direction } = setting;
  const finder = pictureFinder(project.pictures);
  const pictures = new Map(
    [...namesShown(plan, entries)].flatMap((name): [string, HeldPicture][] => {
      if (isAddress(name)) return [[name, { address: name, isSymbol: false }]];
      const found = finder.best(name, { density: ratio, scheme: how.scheme, device: 'phone' });
      const base64 = found && contents.get(found.content);
      if (found === undefined || base64 === undefined) return [];
      const isDrawing = found.mediaType === 'image/svg+xml';
      const svg = isDrawing ? atob(base64) : '';
      // One that would never end is not begun.
      if (isDrawing && !isDrawable(svg)) return [];
      const address = `data:${found.mediaType};base64,${base64}`;
      return [[name, { address, isSymbol: isDrawing && isSymbol(svg) }]];
    }),
  );
  return drawRows(
    {
      rows: { plan, entries },
      ...{ ...how, ratio, textSize: textSize / 100, language, direction, pictures },
    },
    { measures, own, face, wait: more },
  );
}
