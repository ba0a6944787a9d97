import { type Gesture, gestures } from '../src/core/actions';
import type { Json } from '../src/core/base';
import type { Entry } from '../src/core/lists';
import { type ActionUse, actionUsesIn, type Project, shownTemplates } from '../src/core/project';
import type { Engine } from '../src/engine';

/** What a gesture on a row would hand over. */
export type RowAction = {
  readonly part: string;
  readonly gesture: Gesture;
  readonly action: string;
  readonly allowed: boolean;
  readonly type: string;
} & ({ readonly payload: Json } | { readonly missing: string });

/** Finds what all gestures on an entry would raise. */
export function actionsFinder(engine: Engine, project: Project) {
  const uses = new Map(
    shownTemplates(project).map((template) => [template.id, actionUsesIn(template)]),
  );
  return (template: string, entry: Entry): readonly RowAction[] =>
    entry.kind === 'row' ? raisedOn(engine, uses.get(template) ?? [], entry.key) : [];
}

function raisedOn(engine: Engine, uses: readonly ActionUse[], key: string): readonly RowAction[] {
  const places = new Map(uses.map((use) => [`${use.part} ${use.gesture}`, use]));
  return [...places.values()].flatMap(({ template, part, gesture }) =>
    engine
      .answerTo({ key, template, part, gesture })
      .raised.map(({ action, isAllowed, payload, payloadType }): RowAction => {
        const told = { part, gesture, action: action.id, allowed: isAllowed, type: payloadType };
        return payload === undefined
          ? { ...told, missing: 'it has no value for this item' }
          : { ...told, payload };
      }),
  );
}

export function actionAsText(row: RowAction): string {
  const { gesture, part, action, allowed } = row;
  const handed = 'payload' in row ? JSON.stringify(row.payload) : `(missing: ${row.missing})`;
  const words = [`${gestures[gesture].words} on ${part}`, action, handed];
  return ['', ...words, ...(allowed ? [] : ['not allowed'])].join('\t');
}
