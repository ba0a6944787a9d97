import { Suspense } from 'react';
import { ownValue } from '../../../core/base';
import { edits } from '../../../core/project';
import { isBound, isContent, kindOfPart, type Property, propertyOf } from '../../../core/templates';
import { Button, Heading, Row } from '../../shared/controls/controls';
import { onDemand } from '../../shared/controls/on-demand';
import { make } from '../../shared/session/editing';
import { BindingField } from './binding/binding-field';
import { ConstantField } from './binding/constant-field';
import { LinkField } from './binding/link-field';
import { TypedField } from './binding/typed-field';
import { StackHeights } from './room/stack-heights';
import type { Selection } from './selection';
import { WithinShared } from './shared/within-shared';

const SharedInputs = onDemand(() => import('./shared/shared-inputs'));
const Does = onDemand(() => import('./does/does'));
const AddLine = onDemand(() => import('./add-line'));

/** What the selected part shows, and what it looks like: a field for each property of its kind. */
export function Properties({ selection }: { readonly selection: Selection }) {
  const { part, parts } = selection;
  const isRow = part.id === selection.template.row.id;
  const declared = Object.entries(kindOfPart(part).properties).filter(
    ([name, { isOfRow, kind }]) =>
      (isRow || !isOfRow) &&
      parts.every((each) => ownValue(kindOfPart(each).properties, name)?.kind === kind),
  );
  const { shows } = kindOfPart(part);
  const isShow = ([name, property]: (typeof declared)[number]) =>
    isContent(property) || name === shows;
  // What several show is each one's own.
  const content = parts.length > 1 ? [] : declared.filter(isShow);
  const looks = declared.filter(
    (each) => !isShow(each) && each[1].kind !== 'shared' && each[1].kind !== 'actions',
  );
  const isShown = ([name, property]: (typeof looks)[number]) =>
    !property.isRare || propertyOf(part, name) !== undefined;
  const isUnset = ([name, property]: (typeof content)[number]) =>
    !property.isRequired && isContent(property) && propertyOf(part, name) === undefined;
  return (
    <div className="min-h-0 overflow-y-auto px-3 py-1.5">
      <WithinShared selection={selection} />
      <div className="columns-2 gap-x-6 [column-rule:1px_solid_var(--rule)] has-data-wide:columns-1 max-[1100px]:columns-1 in-data-[windows=two]:columns-1">
        <section aria-label="Shows">
          <Heading>Shows</Heading>
          {parts.length > 1 && (
            <p className="text-ash">
              {parts.length} parts are selected: what one sets is set in all of them, in one step.
            </p>
          )}
          {content.map(([name, property]) =>
            isContent(property) ? (
              <ContentField key={name} {...{ selection, name, property }} />
            ) : (
              <LookField key={name} {...{ selection, name, property }} />
            ),
          )}
          {part.part === 'shared' && (
            <Suspense fallback={null}>
              <SharedInputs selection={selection} use={part} />
            </Suspense>
          )}
          {part.part === 'stack' && (
            <>
              <p className="text-ash">
                A stack holds parts {ways[part.direction ?? 'across']} each other. Select one of
                them, or drop a value between them.
              </p>
              <StackHeights selection={selection} />
            </>
          )}
        </section>
        <section aria-label="Looks like">
          <Heading>Looks like</Heading>
          {looks.filter(isShown).map(([name, property]) => (
            <LookField key={`${part.id} ${name}`} {...{ selection, name, property }} />
          ))}
          <Suspense fallback={null}>
            <AddLine
              key={part.id}
              selection={selection}
              unset={[...content.filter(isUnset), ...looks.filter((each) => !isShown(each))]}
              others={looks.filter(isShown)}
            />
          </Suspense>
        </section>
      </div>
      <Suspense fallback={null}>
        <Does selection={selection} />
      </Suspense>
    </div>
  );
}

const ways = { across: 'beside', down: 'under', over: 'over' } as const;

interface FieldProps {
  readonly selection: Selection;
  readonly name: string;
  readonly property: Property;
}

function ContentField({ selection, name, property }: FieldProps) {
  const value = propertyOf(selection.part, name);
  if (property.kind === 'address') return <LinkField {...{ selection, name }} />;
  if (!isBound(value) && typeof value !== 'string') return null;
  const field = (
    <BindingField {...{ selection, declared: property }} property={name} binding={value} />
  );
  return property.isRequired ? (
    field
  ) : (
    <div className="mt-1 border-t border-rule pt-1">
      {field}
      <TakeAway selection={selection} name={name} property={property} />
    </div>
  );
}

function LookField(props: FieldProps) {
  const { selection, name, property } = props;
  // The row itself is as wide as the list.
  if (name === 'width' && selection.part.id === selection.template.row.id) return null;
  if (property.isBindable) return <TypedField {...props} />;
  return <ConstantField {...props} />;
}

/** Puts a property back to what its kind says. */
function TakeAway({ selection: { template, part }, name, property }: FieldProps) {
  const place = { template: template.id, part: part.id, property: name };
  return (
    <Row words="">
      <Button onPress={() => make(edits.set(place, undefined))}>No {property.words}</Button>
    </Row>
  );
}
