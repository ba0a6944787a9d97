import { element, svgDocument } from '../../core/drawing';
import type { ExpectedSetting } from '../../core/handoff';
import type { Entry, RowPlan } from '../../core/lists';
import type { RowsDrawn } from '../drawing';
import type { Engine } from '../engine';
import { type DrawnOf, type DrawnTask, drawn } from './drawn';
import { expectedEntries } from './expecting';
import type { DrawPorts } from './ports';

/** What is drawn of a list, and how. */
export interface ListPictureTask extends Pick<DrawnTask, 'scheme' | 'letters'> {
  readonly setting: ExpectedSetting;
  /** The row of the item with this key alone; undefined: all rows. */
  readonly key: string | undefined;
}

interface Placed {
  readonly plan: RowPlan;
  readonly entry: Entry;
  readonly widthPx: number;
}

/** Rows of a list as they stand in it, or one of them, as an SVG file; undefined: there is none of that key. */
export async function listPicture(
  engine: Engine,
  { setting, key, ...how }: ListPictureTask,
  of: DrawnOf,
  ports: DrawPorts,
): Promise<Pick<RowsDrawn, 'svg' | 'widthPx' | 'heightPx'> | undefined> {
  const rows: Placed[] = [];
  const entries = await expectedEntries(engine, of.project, setting, {
    texts: ports,
    meet: (plan, entry, _, widthPx) => rows.push({ plan, entry, widthPx }),
  });
  const draw = ({ plan, entry, widthPx }: Placed, prefix: string) =>
    drawn({ plan, entries: [entry], setting, widthPx, prefix, ...how }, of, ports);
  if (key !== undefined) {
    const own = rows.find(({ entry }) => entry.kind === 'row' && entry.key === key);
    return own && draw(own, 'y');
  }
  const inner: string[] = [];
  let heightPx = 0;
  for (const [at, row] of rows.entries()) {
    const { svg } = await draw(row, `y${at}-`);
    const [x, y, , height] = entries[at]?.box ?? [0, 0, 0, 0];
    inner.push(element('g', { transform: `translate(${x} ${y})` }, svg.trim()));
    heightPx = Math.max(heightPx, y + height);
  }
  const size = { widthPx: setting.width, heightPx: Math.ceil(heightPx) };
  return { svg: svgDocument(size, [], ...inner), ...size };
}
