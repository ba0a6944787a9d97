import { useState } from 'react';
import {
  type Format,
  type FormatProposal,
  families,
  type NamedFormat,
  proposeFormats,
} from '../../../../core/formats';
import { edits, environmentOf, freeFormatId, inOneStep } from '../../../../core/project';
import type { Binding } from '../../../../core/templates';
import { type Field, makeExpression, type ResultType, typeOfResult } from '../../../../core/values';
import { Button, MenuButton, Row } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { useLocale } from '../../../shared/session/locale';
import { usedIds } from '../../../shared/session/session';
import { useBenchItem } from '../bench/bench-item';
import { type Place, writeAs } from '../binding/binding-edits';
import { useEnds } from '../binding/use-ends';
import { useWritten, writtenText } from '../binding/use-written';
import { fieldsSeen, type Selection } from '../selection';
import { FormatEditor } from './format-editor';

interface FormatFieldProps {
  readonly selection: Selection;
  readonly place: Place;
  readonly binding: Exclude<Binding, string>;
}

/** How a value is written: a format of the project, or a new one, each shown on the item at hand. */
export default function FormatField({ selection, place, binding }: FormatFieldProps) {
  const { project } = selection;
  // What is there already takes no room until somebody wants to change it.
  const [isOpen, setOpen] = useState(binding.format === undefined);
  const fields = fieldsSeen(selection, place);
  const { checked, paths } = makeExpression(binding.expr, fields, 'any', environmentOf(project));
  const formats = project.formats ?? [];
  const current = formats.find((format) => format.id === binding.format);
  if (checked === undefined || checked.type.type === 'record') return null;
  // A picture is named by a boolean through two words: the names of two pictures.
  const fits = ({ as }: Format) => place.property === 'text' || as === 'yesNo';
  const proposals = proposalsFor(paths[0] ?? [], checked.type, fields).filter(({ format }) =>
    fits(format),
  );
  if (place.property === 'picture' && proposals.length === 0) return null;
  return (
    <Row words="format">
      <FormatMenu
        {...{ selection, place, binding, current, proposals }}
        fitting={formats.filter((each) => fits(each) && families[each.as].takes(checked.type))}
      />
      {current !== undefined && !families[current.as].takes(checked.type) && (
        <p className="pt-0.5 text-sm text-madder" role="status">
          {current.name} cannot write {typeOfResult(checked.type)}: choose another format.
        </p>
      )}
      {current !== undefined && !isOpen && (
        <span className="ms-1.5 inline-block align-top">
          <Button onPress={() => setOpen(true)}>Change {current.name}</Button>
        </span>
      )}
      {current !== undefined && isOpen && (
        <>
          <FormatEditor format={current} fields={fields} />
          <Samples {...{ selection, place, binding }} format={current} />
        </>
      )}
    </Row>
  );
}

/** What is likely, then one of every other family that takes such values. */
function proposalsFor(
  path: readonly string[],
  type: ResultType,
  fields: readonly Field[],
): FormatProposal[] {
  const likely = proposeFormats(path, type, fields);
  const environment = Object.values(families).filter(
    (family) => family.takes(type) && !likely.some(({ format }) => format.as === family.as),
  );
  return [...likely, ...environment.map(({ words, draft }) => ({ name: words, format: draft }))];
}

interface FormatMenuProps extends FormatFieldProps {
  readonly current: NamedFormat | undefined;
  readonly fitting: readonly NamedFormat[];
  readonly proposals: readonly FormatProposal[];
}

function FormatMenu({ selection, place, binding, current, fitting, proposals }: FormatMenuProps) {
  const item = useBenchItem(selection.template);
  const locale = useLocale();
  const tried: readonly (Format | undefined)[] = [
    undefined,
    ...fitting,
    ...proposals.map(({ format }) => format),
  ];
  const written = useWritten({
    place,
    expr: binding.expr,
    formats: tried,
    locales: [locale],
    items: item < 0 ? [] : [item],
  });
  const sample = (at: number) => writtenText(written[at]?.[0]?.[0]);
  return (
    <MenuButton
      label="Format"
      words={current?.name ?? 'as it is'}
      entries={[
        {
          words: 'as it is',
          hint: sample(0),
          isChosen: current === undefined,
          onChoose: () => make(writeAs(place, binding, undefined)),
        },
        ...fitting.map((format, at) => ({
          words: format.name,
          hint: sample(1 + at),
          isChosen: format === current,
          onChoose: () => make(writeAs(place, binding, format.id)),
        })),
        ...proposals.map(({ name, format }, at) => ({
          words: `new: ${name}`,
          hint: sample(1 + fitting.length + at),
          onChoose: () => takeNew(place, binding, { name, format }),
        })),
      ]}
    />
  );
}

/** A new format of the project, and the binding that has it, in one step. */
function takeNew(
  place: Place,
  binding: Exclude<Binding, string>,
  { name, format }: FormatProposal,
): void {
  const id = freeFormatId(usedIds(), name);
  make(
    inOneStep(`Format ${place.part}: ${name}`, [
      edits.addFormat({ id, name, ...format }),
      writeAs(place, binding, id),
    ]),
  );
}

const maxLocales = 4;

/** The item at hand and those at the ends of all values, in the project's locales. */
function Samples({
  selection,
  place,
  binding,
  format,
}: FormatFieldProps & { format: NamedFormat }) {
  const ends = useEnds(selection, binding.expr);
  const items = ends.items.filter((each, at, all) => each >= 0 && all.indexOf(each) === at);
  const locales = (selection.project.locales ?? ['en']).slice(0, maxLocales);
  const { id: _, name: __, ...bare } = format;
  const [written] = useWritten({
    place,
    expr: binding.expr,
    formats: [bare],
    locales,
    items,
  });
  return (
    <table aria-label="Samples of the format" className="w-full text-sm">
      <tbody>
        {locales.map((locale, at) => (
          <tr key={locale}>
            <th scope="row" className="w-12 text-start font-normal text-ash">
              {locale}
            </th>
            {written?.[at]?.map((each, index) => (
              <td key={items[index]} className="max-w-28 truncate pe-2">
                {'text' in each ? each.text : <span className="text-madder">{each.why}</span>}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
