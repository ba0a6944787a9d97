import Stamp from 'lucide-react/icons/stamp';
import { freeId } from '../../../../core/base';
import { edits } from '../../../../core/project';
import { prefixOf } from '../../../../core/templates';
import { Button } from '../../../shared/controls/controls';
import { make, whyNot } from '../../../shared/session/editing';
import { usedIds } from '../../../shared/session/session';
import type { Selection } from '../selection';

/** Keeps the selected part in the project, for other places too; it stays where it stands. */
export function ShareButton({ selection: { template, part } }: { readonly selection: Selection }) {
  const name = part.id.slice(prefixOf(part.id).length);
  const place = { template: template.id, part: part.id };
  const edit = edits.share(place, { id: freeId(name, usedIds().sharedParts), name });
  const why = whyNot(edit);
  return (
    <Button
      label={why ?? `Share ${name}: keep it once, for other places too`}
      isDisabled={why !== undefined}
      onPress={() => make(edit)}
    >
      <Stamp size={14} aria-hidden="true" />
    </Button>
  );
}
