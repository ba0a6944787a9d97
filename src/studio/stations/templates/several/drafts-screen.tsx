import { useState } from 'react';
import { edits, freeTemplateId, withId } from '../../../../core/project';
import type { TriedDraft } from '../../../../engine';
import { Heading } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { useDirection } from '../../../shared/session/locale';
import { goWithin } from '../../../shared/session/route';
import { engine, usedIds } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';
import { RowPicture } from '../../../shared/window/row-picture';
import { useWindow } from '../../../shared/window/window-settings';
import type { Selection } from '../selection';

/** Rows and a card that the items of the type may have, with three of them each: one press takes one. */
export default function DraftsScreen({ selection }: { readonly selection: Selection }) {
  const { template, project } = selection;
  const scheme = useWindow((settings) => settings.scheme);
  const device = useWindow((settings) => settings.device);
  const direction = useDirection();
  const drafts = useAnswer(template.type, (type) => engine().tryDrafts(type));
  // What stands on screen is what was there when it was opened: taking one changes nothing of it.
  const [isOwnWork] = useState(() => template.row);
  if (drafts === undefined) return null;
  const isDrafted = isDraft(isOwnWork, drafts) || isPlain(isOwnWork);
  const typeName = withId(project.types, template.type)?.name ?? template.type;
  return (
    <section
      aria-label="Drafts"
      className="col-span-2 overflow-y-auto px-4 py-2 max-[1000px]:col-span-1"
    >
      <Heading>Drafts for {typeName}</Heading>
      <p className="pb-2 text-sm text-ash">
        Drawn with the first items that are there. One press takes one
        {isDrafted
          ? ` in the place of “${template.name}”, which nobody has changed by hand.`
          : `: “${template.name}” was changed by hand, so it comes beside it.`}
      </p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(300px,1fr))] gap-4">
        {drafts.map(({ draft, tried }) => (
          <li key={draft.name}>
            <button
              type="button"
              className="block w-full rounded-md border border-rule bg-paper text-start hover:border-ash"
              onClick={() => takeDraft(selection, draft, isDrafted)}
            >
              <span className="block px-3 py-1.5">
                <b className="font-semibold">{draft.name}</b>{' '}
                <span className="text-sm text-ash">{draft.about}</span>
              </span>
              <span
                className={`block overflow-hidden border-t border-rule ${draft.name === 'card' ? 'grid grid-cols-3 gap-2 p-2' : ''}`}
                style={{ maxWidth: device.widthPx }}
              >
                {tried.entries.map((entry) => (
                  <span
                    key={entry.key}
                    dir={direction}
                    className="block overflow-hidden border-b border-rule"
                  >
                    <RowPicture
                      plan={tried.plan}
                      entry={entry}
                      pictures={project.pictures}
                      scheme={scheme}
                    />
                  </span>
                ))}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {drafts.length === 0 && (
        <p className="text-ash">No item of this type is there to draft from.</p>
      )}
    </section>
  );
}

const isDraft = (row: Selection['template']['row'], drafts: readonly TriedDraft[]): boolean =>
  drafts.some(({ draft }) => JSON.stringify(draft.row) === JSON.stringify(row));

/** The one label that a type begins with. */
const isPlain = ({ children }: Selection['template']['row']): boolean => {
  const [only, ...more] = children;
  return (
    more.length === 0 && only?.part === 'label' && only.id === 'title' && only.runs === undefined
  );
};

function takeDraft({ template }: Selection, draft: TriedDraft['draft'], isDrafted: boolean): void {
  if (isDrafted) {
    if (make(edits.takeDraft(template.id, draft)) === undefined)
      goWithin({ panel: undefined, part: undefined, also: [] });
    return;
  }
  const id = freeTemplateId(template.type, draft.name.replaceAll(' ', '-'), usedIds().templates);
  const next = { id, name: draft.name, type: template.type };
  if (make(edits.addDraft(next, draft)) === undefined)
    goWithin({ panel: undefined, template: id, part: undefined, also: [] });
}
