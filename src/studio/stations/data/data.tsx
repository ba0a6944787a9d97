import { useMemo } from 'react';
import { count } from '../../../core/base';
import { edits, type ItemType, type Source } from '../../../core/project';
import { typeInWords } from '../../../core/values';
import { Heading, MenuButton } from '../../shared/controls';
import { make } from '../../shared/editing';
import { FileButton } from '../../shared/file-button';
import { goWithin, useRoute } from '../../shared/route';
import { useProject, useSession } from '../../shared/session';
import { TypeMark } from '../../shared/typed';
import { ItemTable } from './item-table';

/** What was brought: where the items were found, what they are, and every one of them. */
export default function Data() {
  const project = useProject();
  const source = project?.sources[0];
  const types = useMemo(
    () => (project?.types ?? []).filter((type) => type.source === source?.id),
    [project?.types, source?.id],
  );
  if (source === undefined) return null;
  return (
    <div className="grid h-full grid-cols-[184px_1fr] grid-rows-[40px_1fr_auto]">
      <SourceLine source={source} />
      <Lists source={source} types={types} />
      <ItemTable source={source} types={types} />
      <FieldDetail source={source} types={types} />
    </div>
  );
}

function SourceLine({ source }: { readonly source: Source }) {
  const itemCount = useSession((session) => session.view?.itemCount ?? 0);
  return (
    <div className="col-span-2 flex items-center gap-2 border-b border-rule px-3">
      <h1 className="font-semibold">{source.name}</h1>
      <span className="truncate text-ash">
        {source.from.file} › <code className="font-mono text-sm">{source.from.at}</code>
      </span>
      <span className="rounded-full border border-rule bg-paper px-2.5 text-sm whitespace-nowrap">
        {count(itemCount, 'item')}
      </span>
      <span className="ms-auto flex gap-2">
        <FileButton words="Bring other items" label="Items as a new project" />
      </span>
    </div>
  );
}

function Lists({
  source,
  types,
}: {
  readonly source: Source;
  readonly types: readonly ItemType[];
}) {
  const project = useProject();
  const { view } = useSession();
  return (
    <aside className="row-span-2 overflow-auto border-r border-rule px-3 py-2">
      <Heading>Sources</Heading>
      <ul>
        {project?.sources.map((each) => (
          <li
            key={each.id}
            className="-mx-3 flex justify-between bg-chosen px-3 py-0.5 font-semibold"
          >
            {each.name} <span className="font-normal text-ash">{view?.itemCount}</span>
          </li>
        ))}
      </ul>
      <p className="pb-2 text-sm text-ash">
        Drop or paste more anywhere: they become a project of their own.
      </p>
      <Heading>Item types</Heading>
      <ul>
        {types.map((type) => (
          <li key={type.id} className="flex justify-between py-0.5">
            {type.name} <span className="text-ash">{count(type.fields.length, 'field')}</span>
          </li>
        ))}
      </ul>
      {source.discriminator !== null && (
        <p className="pb-2 text-sm text-ash">
          told apart by <b className="text-ink">{source.discriminator}</b>
        </p>
      )}
      <Heading>Key</Heading>
      <MenuButton
        label="Key"
        words={source.key ?? 'position'}
        entries={[
          {
            words: 'position',
            hint: 'no key',
            isChosen: source.key === null,
            onChoose: () => make(edits.setKey(source.id, null)),
          },
          ...keyFields(types).map((name) => ({
            words: name,
            isChosen: source.key === name,
            onChoose: () => make(edits.setKey(source.id, name)),
          })),
        ]}
      />
    </aside>
  );
}

/** Fields that every item has and that can tell items apart. */
function keyFields(types: readonly ItemType[]): string[] {
  const [first, ...rest] = types;
  const names = (first?.fields ?? [])
    .filter((field) => field.required && (field.type === 'text' || field.type === 'integer'))
    .map((field) => field.name);
  return names.filter((name) =>
    rest.every((type) => type.fields.some((field) => field.name === name)),
  );
}

function FieldDetail({
  source,
  types,
}: {
  readonly source: Source;
  readonly types: readonly ItemType[];
}) {
  const { route } = useRoute();
  const name = route.page === 'project' ? route.field : undefined;
  const owners = types.flatMap((type) =>
    type.fields.filter((field) => field.name === name).map((field) => ({ type, field })),
  );
  if (name === undefined || owners.length === 0) {
    return (
      <p className="border-t border-rule bg-paper px-4 py-3 text-ash">
        Press a column’s head to see what is known of the field. Press a row to have its item at
        hand.
      </p>
    );
  }
  return (
    <section aria-label={`Field ${name}`} className="border-t border-rule bg-paper px-4 py-3">
      <div className="flex items-center gap-3 pb-1">
        <h2 className="font-semibold">{name}</h2>
        {source.key === name && <span className="text-sm text-woad">the key</span>}
        {source.discriminator === name && (
          <span className="text-sm text-woad">tells the types apart</span>
        )}
        <button
          type="button"
          className="ms-auto text-sm text-ash underline"
          onClick={() => goWithin({ field: undefined })}
        >
          put away
        </button>
      </div>
      <table className="text-sm">
        <tbody>
          {owners.map(({ type, field }) => (
            <tr key={type.id}>
              <td className="pe-6 text-ash">{type.name}</td>
              <td className="flex items-center gap-2 pe-6">
                <TypeMark type={field} /> {typeInWords(field)}
              </td>
              <td className={field.required ? 'text-moss' : 'text-weld'}>
                {field.required ? 'in every item' : 'may be missing'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
