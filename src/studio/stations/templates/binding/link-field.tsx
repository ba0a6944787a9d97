import { ownValue } from '../../../../core/base';
import { edits } from '../../../../core/project';
import { isBound, kindOfPart, propertyOf } from '../../../../core/templates';
import { pathText } from '../../../../core/values';
import { Button, Row } from '../../../shared/controls/controls';
import { make } from '../../../shared/session/editing';
import { useSession } from '../../../shared/session/session';
import type { Selection } from '../selection';
import { BindingField } from './binding-field';

interface LinkFieldProps {
  readonly selection: Selection;
  readonly name: string;
}

/** Where a part leads: a value made into an address of the web, a mailbox or a telephone. */
export function LinkField({ selection, name }: LinkFieldProps) {
  const { template, part } = selection;
  const place = { template: template.id, part: part.id, property: name };
  const link = propertyOf(part, name);
  const declared = ownValue(kindOfPart(part).properties, name);
  if (declared === undefined || (typeof link !== 'string' && !isBound(link))) return null;
  return (
    <div className="mt-1 border-t border-rule pt-1">
      <BindingField {...{ selection, declared }} property={name} binding={link} />
      {!declared.isRequired && (
        <Row words="">
          <Button onPress={() => make(edits.set(place, undefined))}>No link</Button>
        </Row>
      )}
    </div>
  );
}

const addressLike = /^(?:https?:|mailto:|tel:|www\.)|@/i;
const addressName = /url|link|href|website|web|mail|phone|tel/i;

/** The field that most likely holds an address; else the first. */
export function useLikelyAddress({ type }: Selection): string {
  const item = useSession((session) => session.atHand?.value);
  const fields = type?.fields ?? [];
  const likely =
    fields.find(({ name, type: own }) => {
      const value = item && ownValue(item, name);
      return own === 'link' || (typeof value === 'string' && addressLike.test(value));
    }) ?? fields.find(({ name }) => addressName.test(name));
  return pathText([(likely ?? fields[0])?.name ?? 'item']);
}
