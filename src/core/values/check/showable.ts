import type { Finding } from '../../base';
import { valueFindings } from '../findings';
import { isTextual, kindOf, withArticle } from '../result-type';
import { isShowable } from '../type';
import { type Checked, inWords } from './checked';
import { pathText } from './names';

/** Why a value cannot stand in a text, if it can't. */
export function showableFinding(checked: Checked): Finding | undefined {
  const { type } = checked;
  if (type.type === 'either' ? type.of.every(isShowable) : isShowable(type)) return undefined;
  if (checked.kind === 'literal') return undefined;
  const what = inWords(checked);
  const mend =
    type.type === 'list' && isTextual(kindOf(type.of))
      ? { label: 'Join them', from: checked.to, to: checked.to, text: '.join(", ")' }
      : undefined;
  const steps =
    type.type === 'record' ? type.fields.filter(isShowable).map((field) => field.name) : [];
  const around = checked.kind === 'item' ? [] : what.split('.');
  const paths = steps.slice(0, 6).map((step) => pathText([...around, step]));
  return valueFindings.notShowable(checked, { what, type: withArticle(type) }, paths, mend);
}
