import { useState } from 'react';
import { freeId, slug } from '../../../../core/base';
import { edits, freeTemplateId, matchFields, withId } from '../../../../core/project';
import { MenuButton } from '../../../shared/controls/controls';
import type { MenuEntry } from '../../../shared/controls/popup';
import { NameField } from '../../../shared/fields/name-field';
import { make, whyNot } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import { usedIds, useSession } from '../../../shared/session/session';
import type { Selection } from '../selection';

/** What is done with a template as a whole. */
export function TemplateMenu({ selection }: { readonly selection: Selection }) {
  const [isNaming, setNaming] = useState(false);
  const { template, project } = selection;
  if (isNaming)
    return (
      <NameField
        label={`Name of template ${template.name}`}
        name={template.name}
        onDone={(name) => {
          setNaming(false);
          if (name !== template.name) make(edits.renameTemplate(template.id, name));
        }}
      />
    );
  const remove = edits.removeTemplate(template.id);
  return (
    <MenuButton
      words="…"
      label="This template"
      entries={[
        { words: 'Name it', onChoose: () => setNaming(true) },
        { words: 'Duplicate it', hint: 'both are compared', onChoose: () => duplicate(selection) },
        ...project.types
          .filter(({ id }) => id !== template.type)
          .map(
            (type): MenuEntry => ({
              words: `Give it to ${type.name}`,
              hint: matchesInWords(selection, type.id),
              onChoose: () => give(selection, type.id),
            }),
          ),
        { words: 'A list of its own', onChoose: () => ownList(selection) },
        {
          words: 'Remove it',
          whyNot: whyNot(remove),
          onChoose: () => {
            if (make(remove) === undefined)
              goWithin({ template: undefined, part: undefined, also: [] });
          },
        },
      ]}
    />
  );
}

function duplicate({ template }: Selection): void {
  const id = freeTemplateId(
    template.type,
    template.name.replaceAll(/[^a-z0-9]+/gi, '-').toLowerCase(),
    usedIds().templates,
  );
  const name = freeId(template.name, namesOf(template.type));
  if (make(edits.duplicateTemplate(template.id, { id, name })) === undefined)
    goWithin({ template: id, part: undefined, also: [], panel: 'compare' });
}

function namesOf(type: string): readonly string[] {
  const { history } = useSession.getState();
  return (history?.project.templates ?? []).flatMap((each) =>
    each.type === type ? [each.name] : [],
  );
}

const fieldsOf = ({ project }: Selection, type: string) =>
  withId(project.types, type)?.fields ?? [];

function matchesInWords(selection: Selection, type: string): string {
  const { template } = selection;
  const { matched, unmatched } = matchFields(
    template.row,
    fieldsOf(selection, template.type),
    fieldsOf(selection, type),
  );
  return `${matched.length} of ${matched.length + unmatched.length} values are there`;
}

/** What has no match is told, with the nearest; then both stand side by side. */
function give(selection: Selection, type: string): void {
  const { template } = selection;
  const { unmatched } = matchFields(
    template.row,
    fieldsOf(selection, template.type),
    fieldsOf(selection, type),
  );
  const name = freeId(template.name, namesOf(type));
  const id = freeTemplateId(type, slug(name), usedIds().templates);
  if (make(edits.giveTemplate(template.id, { id, name, type })) !== undefined) return;
  goWithin({ template: id, part: undefined, also: [], panel: 'compare' });
  if (unmatched.length === 0) return;
  useSession.setState({
    notice: {
      code: 'given-without',
      severity: 'note',
      place: { in: 'project', path: '' },
      message: `Not there: ${unmatched
        .map(({ from, nearest }) =>
          nearest === undefined ? from : `${from} (${nearest} comes nearest)`,
        )
        .join(', ')}.`,
      hint: 'Bind those parts to values of this type; what was matched shows already.',
    },
  });
}

function ownList({ template }: Selection): void {
  const id = freeId(slug(template.name), usedIds().lists);
  make(edits.listOfItsOwn(template.id, { id, name: template.name }));
}
