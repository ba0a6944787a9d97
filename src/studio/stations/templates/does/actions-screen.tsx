import X from 'lucide-react/icons/x';
import { useState } from 'react';
import { gestures, wordsOfAction } from '../../../../core/actions';
import { count } from '../../../../core/base';
import { edits, type Project, usesOfAction } from '../../../../core/project';
import { Button, Heading } from '../../../shared/controls/controls';
import { placeOfTemplate } from '../../../shared/session/current';
import { make } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import { ActionEditor } from './action-editor';

/** All actions of the project, each with what raises it. */
export default function ActionsScreen({ project }: { readonly project: Project }) {
  const [open, setOpen] = useState<string>();
  const actions = project.actions ?? [];
  return (
    <section aria-label="Actions" className="col-span-2 min-h-0 overflow-y-auto px-4 py-2">
      <Heading>Actions</Heading>
      {actions.length === 0 && (
        <p className="text-ash">
          There are none. Select a part or a row, add a gesture under “Does”, and choose “New
          action”.
        </p>
      )}
      {actions.map((action) => {
        const uses = usesOfAction(project, action.id);
        return (
          <div key={action.id} className="border-b border-rule py-1.5">
            <span className="flex flex-wrap items-center gap-2">
              <Button
                isPressed={open === action.id}
                onPress={() => setOpen(open === action.id ? undefined : action.id)}
              >
                <b className="font-semibold">{action.id}</b>
              </Button>
              {wordsOfAction(action) !== action.id && <span>{wordsOfAction(action)}</span>}
              <span className="text-sm text-ash">
                {uses.length === 0 ? 'nothing raises it' : count(uses.length, 'gesture')}
              </span>
              <span className="flex-1" />
              <Button
                isIcon
                label={`Remove ${action.id}`}
                onPress={() => make(edits.removeAction(action.id))}
              >
                <X size={14} aria-hidden="true" />
              </Button>
            </span>
            <span className="flex flex-wrap gap-1 py-1">
              {uses.map(({ template, part, gesture }) => (
                <Button
                  key={`${template} ${part} ${gesture}`}
                  onPress={() => goWithin({ ...placeOfTemplate(template), part, panel: undefined })}
                >
                  {template} › {part} · {gestures[gesture].words}
                </Button>
              ))}
            </span>
            {open === action.id && (
              <ActionEditor {...{ project, action }} type={undefined} onRenamed={setOpen} />
            )}
          </div>
        );
      })}
    </section>
  );
}
