import { useEffect, useMemo, useRef } from 'react';
import { count } from '../../../../core/base';
import { type Project, usesOfName, withId } from '../../../../core/project';
import type { Template, TextStyle } from '../../../../core/templates';
import { knownId } from '../../../../core/templates';
import { Heading } from '../../../shared/controls/controls';
import { placeOfTemplate } from '../../../shared/session/current';
import { goWithin } from '../../../shared/session/route';
import { RowPicture } from '../../../shared/window/row-picture';
import { useWindow } from '../../../shared/window/window-settings';
import { useBenchItem, useTried } from '../bench/bench-item';

interface StyleUsesProps {
  readonly project: Project;
  readonly style: TextStyle;
}

/** All that has a style, each drawn in a real row. */
export function StyleUses({ project, style }: StyleUsesProps) {
  const uses = usesOfName(project, 'style', style.name);
  const templates = project.templates.filter(({ id }) =>
    uses.some(({ template }) => template === id),
  );
  if (uses.length === 0)
    return <p className="py-3 text-ash">No part has this style yet. Choose it for a label.</p>;
  return (
    <section aria-label={`Where ${style.name} is used`} className="py-2">
      <Heading>
        {count(uses.length, 'part')} of {count(templates.length, 'template')}
      </Heading>
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-3">
        {templates.map((template) => (
          <li key={template.id}>
            <UsedIn
              {...{ project, template }}
              parts={uses.filter((use) => use.template === template.id).map(({ part }) => part)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface UsedInProps {
  readonly project: Project;
  readonly template: Template;
  readonly parts: readonly string[];
}

function UsedIn({ project, template, parts }: UsedInProps) {
  const { scheme, device } = useWindow((settings) => settings);
  const item = useBenchItem(template);
  const items = useMemo(() => [item], [item]);
  const tried = useTried(template, items);
  const host = useRef<HTMLDivElement>(null);
  const [entry] = tried?.entries ?? [];
  useEffect(() => {
    for (const element of host.current?.querySelectorAll<HTMLElement>('[data-part]') ?? [])
      element.classList.toggle(
        'yc-selected',
        parts.includes(knownId(element.dataset['part'] ?? '')),
      );
  });
  return (
    <div style={{ maxWidth: Math.min(device.widthPx, 420) }}>
      <p className="pb-1 text-sm text-ash">
        {withId(project.types, template.type)?.name ?? template.type} {template.name}:{' '}
        {parts.map((part) => (
          <button
            key={part}
            type="button"
            className="me-2 underline"
            onClick={() => goWithin({ ...placeOfTemplate(template.id), part, panel: undefined })}
          >
            {part}
          </button>
        ))}
      </p>
      <div ref={host} className="yc-bench overflow-hidden rounded-md ring-1 ring-rule">
        {tried !== undefined && entry !== undefined && (
          <RowPicture plan={tried.plan} entry={entry} pictures={project.pictures} scheme={scheme} />
        )}
      </div>
    </div>
  );
}
