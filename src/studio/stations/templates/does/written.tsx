import { fieldWritten, writableFields } from '../../../../core/project';
import { isBound, kindOfPart, propertyOf } from '../../../../core/templates';
import { pathText } from '../../../../core/values';
import { Button, MenuButton } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { goWithin } from '../../../shared/session/route';
import { bindPath } from '../binding/binding-edits';
import type { Selection } from '../selection';

/** The field that a control writes when a reader changes it; why none, and which could be. */
export function Written({ template, type, part }: Selection) {
  const fields = type?.fields ?? [];
  const written = fieldWritten(part, fields);
  const expr = written.ok ? pathText(written.value) : undefined;
  const { shows } = kindOfPart(part);
  const others = writableFields(part, fields).filter((each) => each !== expr);
  const write = (field: string) => {
    if (shows === undefined) return;
    const before = propertyOf(part, shows);
    const place = { template: template.id, part: part.id, property: shows };
    make(bindPath(place, field, isBound(before) ? before : ''));
  };
  return (
    <div className="grid grid-cols-[132px_1fr] items-start gap-2 py-0.5">
      <span className="pt-0.5 text-ash">writes</span>
      <span className="flex flex-wrap items-center gap-1">
        {written.ok ? (
          <code className="font-mono">{expr}</code>
        ) : (
          <span>nothing: {written.error}</span>
        )}
        {others.length > 0 && (
          <MenuButton
            label="Field that it writes"
            words={written.ok ? 'another' : 'write a field'}
            entries={others.map((words) => ({ words, onChoose: () => write(words) }))}
          />
        )}
        {!written.ok && others.length === 0 && (
          <Button onPress={() => goWithin({ station: 'data' })}>
            No field fits: see the fields
          </Button>
        )}
      </span>
    </div>
  );
}
