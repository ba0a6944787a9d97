import { specSheet } from '../../core/drawing';
import type { ExpectedSetting } from '../../core/handoff';
import type { Entry, RowPlan } from '../../core/lists';
import { tokensOf, withId } from '../../core/project';
import { type DrawnOf, type DrawnTask, drawn } from './drawn';
import type { DrawPorts } from './ports';

/** Rows of a template as they were met first, and what is told of each. */
interface Shown {
  readonly plan: RowPlan;
  readonly setting: ExpectedSetting;
  readonly widthPx: number;
  readonly first: Entry;
  longest: Entry;
  lacking: Entry | undefined;
}

/** Chooses the rows that stand on the sheet of each template. */
export class RowsShown {
  private readonly byTemplate = new Map<string, Shown>();

  meet(plan: RowPlan, entry: Entry, setting: ExpectedSetting, widthPx: number): void {
    const known = this.byTemplate.get(plan.template);
    if (known === undefined) {
      const own = { plan, setting, widthPx, first: entry, longest: entry, lacking: undefined };
      this.byTemplate.set(plan.template, own);
    } else if (known.setting === setting) {
      if (charsIn(entry) > charsIn(known.longest)) known.longest = entry;
      if (known.lacking === undefined && entry.values.includes(undefined)) known.lacking = entry;
    }
  }

  get all(): ReadonlyMap<string, Shown> {
    return this.byTemplate;
  }
}

const charsIn = ({ values }: Entry): number =>
  values.reduce<number>((sum, value) => sum + (typeof value === 'string' ? value.length : 0), 0);

/** A sheet for each template of which a row was met: HTML without script, by the template's id. */
export async function sheetsOf(
  of: DrawnOf,
  shown: RowsShown,
  ports: DrawPorts,
): Promise<ReadonlyMap<string, string>> {
  const sheets = new Map<string, string>();
  for (const template of of.project.templates) {
    const own = shown.all.get(template.id);
    if (own === undefined) continue;
    await ports.pause();
    sheets.set(template.id, await sheetOf(template.id, own, of, ports));
  }
  return sheets;
}

async function sheetOf(
  id: string,
  { plan, setting, widthPx, first, longest, lacking }: Shown,
  of: DrawnOf,
  ports: DrawPorts,
): Promise<string> {
  const { project } = of;
  const template = withId(project.templates, id);
  if (template === undefined) throw new Error(`There is no template ${id}.`);
  const how = { plan, setting, widthPx, scheme: 'light', letters: 'outlines' } as const;
  const draw = (entry: Entry, prefix: string) =>
    drawn({ ...how, entries: [entry], prefix } satisfies DrawnTask, of, ports);
  const row = await draw(first, 'y0-');
  const others = [
    ...(longest === first ? [] : [{ reason: 'most words', entry: longest }]),
    ...(lacking === undefined ? [] : [{ reason: 'a value is missing', entry: lacking }]),
  ];
  const states = [];
  for (const [at, { reason, entry }] of others.entries())
    states.push({
      reason: `${reason}: ${entry.key}`,
      svg: (await draw(entry, `y${at + 1}-`)).svg,
    });
  return specSheet({
    template,
    type: withId(project.types, template.type)?.name ?? template.type,
    holdsFor: `${first.key}; ${setting.id}: a row of ${Math.round(widthPx)} px, text at ${setting.textSize} %, ${setting.locale}, light`,
    ...row,
    places: row.places[0] ?? [],
    states,
    tokens: tokensOf(project),
  });
}
