import { Suspense, useState } from 'react';
import { namesInWords } from '../../../../core/base';
import { decodingInWords } from '../../../../core/items';
import {
  edits,
  type FieldUse,
  type ItemType,
  type Project,
  type Source,
  usesOfField,
} from '../../../../core/project';
import { fieldAtPath, isShowable, scalarNames, typeInWords } from '../../../../core/values';
import type { Only } from '../../../../engine';
import { Button, ChoiceChips, MenuButton, Row } from '../../../shared/controls/controls';
import { onDemand } from '../../../shared/controls/on-demand';
import { Renamed } from '../../../shared/controls/renamed';
import { TypeMark } from '../../../shared/controls/typed';
import { placeOfTemplate } from '../../../shared/session/current';
import { make } from '../../../shared/session/editing';
import { makeForeseen } from '../../../shared/session/foreseeing';
import { goWithin } from '../../../shared/session/route';
import { useProject } from '../../../shared/session/session';
import { columnIdOf, pathOfColumn } from '../table/columns';
import { DecodingPanel } from './decoding-panel';
import { EvidenceWords } from './evidence-words';
import { ExpressionField } from './expression-field';
import { Misfits } from './misfits';
import { Parting } from './parting';
import { retype } from './retype';
import { useEvidence } from './use-evidence';

const EvidenceChart = onDemand(() => import('./evidence-chart'));

interface FieldDetailProps {
  readonly source: Source;
  readonly types: readonly ItemType[];
  /** The chosen column: its path with dots. */
  readonly id: string | undefined;
  readonly onOnly: (only: Only) => void;
}

/** The chosen field: what it is called, what it is, how it is read, and what its values are like. */
export function FieldDetail({ source, types, id, onOnly }: FieldDetailProps) {
  const project = useProject();
  const [wished, setWished] = useState<string>();
  const owners = id === undefined ? [] : ownersOf(types, id);
  const chosen = owners.find((each) => each.type.id === wished) ?? owners[0];
  if (id === undefined || chosen === undefined || project === undefined) {
    return (
      <p data-pane="field" className="border-t border-rule bg-paper px-4 py-3 text-ash">
        Press a column’s head to see what is known of the field. Press a row to have its item at
        hand.
      </p>
    );
  }
  return (
    <section
      aria-label={`Field ${namesInWords(chosen.path)}`}
      data-pane="field"
      className="grid max-h-72 grid-cols-[minmax(0,11fr)_minmax(0,10fr)] border-t border-rule bg-paper max-[1000px]:row-span-2 max-[1000px]:max-h-none max-[1000px]:grid-cols-1 max-[1000px]:content-start max-[1000px]:overflow-y-auto"
    >
      <Known
        key={`${chosen.type.id} ${id}`}
        {...{ project, source, owners, chosen }}
        onType={setWished}
      />
      <Values source={source} chosen={chosen} onOnly={onOnly} />
    </section>
  );
}

interface Owner {
  readonly type: ItemType;
  readonly path: readonly string[];
}

/** The types that have the field; what leads here from elsewhere knows no column, only names. */
function ownersOf(types: readonly ItemType[], id: string): Owner[] {
  const paths = [pathOfColumn(id), [id], id.split('.')];
  return types.flatMap((type) => {
    const path = paths.find((each) => fieldAtPath(type.fields, each) !== undefined);
    return path === undefined ? [] : [{ type, path }];
  });
}

interface KnownProps {
  readonly project: Project;
  readonly source: Source;
  readonly owners: readonly Owner[];
  readonly chosen: Owner;
  readonly onType: (type: string) => void;
}

function Known({ project, source, owners, chosen, onType }: KnownProps) {
  const { type, path } = chosen;
  const field = fieldAtPath(type.fields, path);
  const [isReading, setReading] = useState(false);
  if (field === undefined) return null;
  const place = { type: type.id, path };
  const name = path.at(-1) ?? '';
  const uses = usesOfField(project, type, path);
  const isNested = field.type === 'record' || field.type === 'list';
  return (
    <div className="min-w-0 overflow-auto border-e border-rule px-3 py-2">
      <div className="flex flex-wrap items-center gap-1.5 pb-1">
        <Renamed
          key={name}
          label={`Name of the field ${name}`}
          words={name}
          onRename={(words) => renamed(place, words)}
        />
        {field.expr !== undefined ? (
          <span className="text-sm text-ash">{typeInWords(field)}</span>
        ) : (
          <MenuButton
            label="Type"
            words={typeInWords(field)}
            entries={scalarNames.map((each) => ({
              words: each,
              isChosen: each === field.type,
              onChoose: () => void retype(source.id, place, each),
            }))}
          />
        )}
        {field.expr === undefined && (
          <label className="flex items-center gap-1.5 whitespace-nowrap">
            <input
              type="checkbox"
              role="switch"
              aria-checked={field.required}
              className="h-4 w-7 cursor-pointer appearance-none rounded-full border border-ash bg-wool before:block before:size-3 before:translate-x-px before:translate-y-px before:rounded-full before:bg-ash checked:border-moss checked:bg-moss checked:before:translate-x-[13px] checked:before:bg-paper"
              checked={field.required}
              onChange={() => make(edits.requireField(place, !field.required))}
            />
            in every item
          </label>
        )}
        <Uses uses={uses} />
        <span className="ms-auto flex gap-1.5">
          <Button
            onPress={() =>
              makeForeseen(edits.removeField(place), () =>
                goWithin({ field: undefined }, 'replace'),
              )
            }
          >
            Leave out
          </Button>
          <button
            type="button"
            className="text-sm text-ash underline"
            onClick={() => goWithin({ field: undefined }, 'replace')}
          >
            put away
          </button>
        </span>
      </div>
      {owners.length > 1 && (
        <ChoiceChips
          label="Of which type"
          options={owners.map((each) => ({ value: each.type.id, words: each.type.name }))}
          chosen={type.id}
          onChoose={onType}
        />
      )}
      <Misfits source={source} field={path.join('.')} />
      {field.from !== undefined && (
        <Row words="comes as">
          <code className="font-mono text-sm">{field.from}</code>
        </Row>
      )}
      {field.expr !== undefined && (
        <Row words="computed">
          <ExpressionField place={place} type={type} expr={field.expr} />
        </Row>
      )}
      {!isNested && field.expr === undefined && (
        <Row words="read as">
          {isReading || field.decode !== undefined ? (
            <DecodingPanel
              {...{ source, field, place }}
              onAsItStands={() => {
                setReading(false);
                if (field.decode !== undefined) make(edits.decodeField(place, null));
              }}
            />
          ) : (
            <span className="flex flex-wrap items-center gap-2">
              <span className="flex items-center gap-2 whitespace-nowrap">
                <TypeMark type={field} /> it stands
              </span>
              <Button onPress={() => setReading(true)}>Read it as …</Button>
            </span>
          )}
        </Row>
      )}
      {isShowable(field) && (
        <Row words="also">
          <Parting type={type} place={place} isText={field.type === 'text'} />
        </Row>
      )}
    </div>
  );
}

type Place = { readonly type: string; readonly path: readonly string[] };

function renamed(place: Place, words: string): string | undefined {
  const why = make(edits.renameField(place, words));
  if (why === undefined)
    goWithin({ field: columnIdOf([...place.path.slice(0, -1), words.trim()]) }, 'replace');
  return why;
}

/** What reads the field: pressed, each leads to its place. */
function Uses({ uses }: { readonly uses: readonly FieldUse[] }) {
  if (uses.length === 0) return <span className="text-sm text-ash">used nowhere</span>;
  return (
    <MenuButton
      label="Uses"
      words={`used ${uses.length}×`}
      entries={uses.map((use, at) => ({
        words: inWords(use, at),
        onChoose: () => {
          if (use.kind === 'binding')
            goWithin({
              ...{ station: 'templates', ...placeOfTemplate(use.template) },
              part: use.part,
            });
          if (use.kind === 'order') goWithin({ station: 'list' });
          if (use.kind === 'filter') goWithin({ station: 'list', piece: 'filter' });
          if (use.kind === 'sections') goWithin({ station: 'list', piece: 'heading' });
          if (use.kind === 'choice') goWithin({ station: 'choices' });
          if (use.kind === 'action') goWithin({ station: 'templates', panel: 'actions' });
          if (use.kind === 'computed') goWithin({ field: columnIdOf([use.name]) }, 'replace');
        },
      }))}
    />
  );
}

function inWords(use: FieldUse, at: number): string {
  if (use.kind === 'computed') return `${at + 1}. computed, ${use.name}: ${use.expr}`;
  if (use.kind === 'action') return `${at + 1}. the action ${use.action}`;
  if (use.kind === 'choice') return `${at + 1}. choice ${use.at + 1}: ${use.when}`;
  if (use.kind === 'order') return `${at + 1}. the order of ${use.list}: ${use.by}`;
  if (use.kind === 'filter') return `${at + 1}. the filter box of ${use.list}`;
  if (use.kind === 'sections') return `${at + 1}. the sections of ${use.list}: ${use.by}`;
  if (use.kind === 'format') return `${at + 1}. the format ${use.format}`;
  if (use.kind !== 'binding')
    return use.kind === 'key' ? 'the key of the source' : 'tells the types apart';
  return `${at + 1}. ${use.template}, ${use.part}: ${use.expr}`;
}

interface ValuesProps {
  readonly source: Source;
  readonly chosen: Owner;
  readonly onOnly: (only: Only) => void;
}

function Values({ source, chosen, onOnly }: ValuesProps) {
  const { type, path } = chosen;
  const field = fieldAtPath(type.fields, path);
  const evidence = useEvidence({ source, type, path, field });
  if (evidence === undefined || field === undefined)
    return <p className="px-3 py-2 text-ash">Counting …</p>;
  return (
    <div className="min-w-0 overflow-auto px-3 py-2 text-sm">
      <EvidenceWords evidence={evidence} field={field} />
      <Suspense fallback={<div className="h-24" />}>
        <EvidenceChart {...{ evidence, field, path, onOnly }} />
      </Suspense>
      {field.decode !== undefined && (
        <p className="text-ash">after reading as {decodingInWords(field.decode)}</p>
      )}
    </div>
  );
}
