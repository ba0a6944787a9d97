import { useMemo } from 'react';
import { count } from '../../../../core/base';
import { shownTemplate, usesOfTemplate, withId } from '../../../../core/project';
import type { Template } from '../../../../core/templates';
import { useDirection } from '../../../shared/session/locale';
import { useProject } from '../../../shared/session/session';
import { RowPicture } from '../../../shared/window/row-picture';
import { useWindow } from '../../../shared/window/window-settings';
import { useBenchItem, useTried } from '../bench/bench-item';

interface StripProps {
  readonly label: string;
  readonly templates: readonly Template[];
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** Templates with their real rows, beside each other: one press chooses one. */
export function Strip({ label, templates, chosen, onChoose }: StripProps) {
  return (
    <ul aria-label={label} className="flex gap-2 overflow-x-auto py-1">
      {templates.map((template) => (
        <li key={template.id} className="shrink-0">
          <button
            type="button"
            aria-pressed={template.id === chosen}
            className="block rounded-md border border-rule bg-paper text-start hover:border-ash aria-pressed:border-ink aria-pressed:shadow-[inset_0_0_0_1px_var(--color-ink)]"
            onClick={() => onChoose(template.id)}
          >
            <Shown template={template} />
          </button>
        </li>
      ))}
    </ul>
  );
}

/** How large rows stand in the strip, of their size. */
const scale = 0.6;

function Shown({ template }: { readonly template: Template }) {
  const project = useProject();
  const { device, scheme } = useWindow();
  const direction = useDirection();
  const item = useBenchItem(template);
  const items = useMemo(() => (item < 0 ? [] : [item]), [item]);
  const shown = project && shownTemplate(project, template.id);
  const tried = useTried(shown ?? template, items);
  const entry = tried?.entries[0];
  if (project === undefined) return null;
  const listCount = usesOfTemplate(project, template.id).length;
  return (
    <>
      <span className="flex justify-between gap-3 px-2 py-0.5 text-sm">
        <span>
          <b className="font-semibold">
            {withId(project.types, template.type)?.name ?? template.type}
          </b>{' '}
          {template.name}
        </span>
        <span className="text-ash">
          {listCount === 0 ? 'in no list' : `in ${count(listCount, 'list')}`}
        </span>
      </span>
      <span
        dir={direction}
        className="block overflow-hidden border-t border-rule"
        style={{ width: device.widthPx, zoom: scale, minHeight: 24 }}
      >
        {tried !== undefined && entry !== undefined && (
          <RowPicture plan={tried.plan} entry={entry} pictures={project.pictures} scheme={scheme} />
        )}
      </span>
    </>
  );
}
