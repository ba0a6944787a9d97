import { arriving, copied, edits, pieceText, readPiece } from '../../../../core/project';
import { type Landing, type Part, stackAround, type Template } from '../../../../core/templates';
import { refused } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import type { Selection } from '../selection';
import { makeAndSelect } from './does';
import { doCommand, removeIt, whyNotDo } from './part-commands';

/** The selected parts as text; undefined: there is nothing to copy. */
export function textOf({ project, template, parts }: Selection): string | undefined {
  const piece = copied(project, { template: template.id, parts: parts.map(({ id }) => id) });
  return piece && pieceText(piece);
}

/** Copies to the clipboard that an event brings; `cut` takes the parts away. */
export function copyTo(data: DataTransfer, selection: Selection, how: 'copy' | 'cut'): void {
  const text = textOf(selection);
  if (text === undefined) return;
  const why = how === 'cut' ? whyNotDo(removeIt, selection) : undefined;
  if (why !== undefined) {
    refused('Cut', why);
    return;
  }
  data.setData('text/plain', text);
  if (how === 'cut') doCommand(removeIt, selection);
}

/** Where what is pasted lands: in the stack that is selected, at its end, else right after the part. */
export function landingAt({ row }: Template, part: Part): Landing {
  if (part.part === 'stack') return { within: part.id, at: part.children.length };
  const around = stackAround(row, part.id);
  if (around === undefined) return { beside: part.id, side: 'below' };
  return { within: around.id, at: around.children.findIndex(({ id }) => id === part.id) + 1 };
}

/** Pastes parts, and says what came along and what is not there. */
export async function pasteText(text: string, selection: Selection): Promise<void> {
  const piece = await readPiece(text);
  if (!piece.ok) {
    refused('Paste', piece.error);
    return;
  }
  const { project, template, part } = selection;
  const isOfRuns = piece.value.parts.every((each) => each.part === 'run');
  const landing: Landing =
    isOfRuns && part.part === 'label'
      ? { within: part.id, at: part.runs?.length ?? 0 }
      : landingAt(template, part);
  const told = arriving(project, template.id, piece.value);
  if (makeAndSelect(selection, edits.paste(template.id, landing, piece.value)) !== undefined)
    return;
  const words = [
    ...(told.added.length > 0 ? [`Came along: ${told.added.join(', ')}.`] : []),
    ...(told.own.length > 0 ? [`The project’s own is used: ${told.own.join(', ')}.`] : []),
    ...(told.missing.length > 0 ? [`Not there: ${told.missing.join(', ')}.`] : []),
  ];
  if (words.length === 0) return;
  useSession.setState({
    notice: {
      code: 'pasted-with',
      severity: 'note',
      place: { in: 'project', path: '' },
      message: words.join(' '),
      hint:
        told.missing.length > 0
          ? 'Bind what is blank to a value of these items.'
          : 'One undo takes all of it back.',
    },
  });
}
