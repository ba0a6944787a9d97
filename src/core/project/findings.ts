import { clipped, count, type Finding } from '../base';
import type { ActionUse } from './acting/uses';

const error = (code: string, path: string, message: string, hint: string): Finding => ({
  code,
  severity: 'error',
  place: { in: 'project', path },
  message: clipped(message),
  hint: clipped(hint),
});

interface ListNamed {
  readonly id: string;
  readonly name: string;
  readonly choices: readonly unknown[];
}

/** Choices are counted from 0 in it, as in the file. */
const choicePath = ({ id }: ListNamed, at: number): string => `lists/${id}/choices/${at}`;

/** Everything that can be wrong with a project file and with what refers to what in it. */
export const projectFindings = {
  notAProject: (file: string) =>
    error(
      'not-a-project',
      file,
      `${file} is not a Yarn Card project.`,
      'Open a file that ends in .yarncard.json.',
    ),

  nestedTooDeep: (file: string, max: number) =>
    error(
      'project-too-deep',
      file,
      `${file} nests more than ${max} levels deep, which no project does.`,
      'Take an earlier version of the file.',
    ),

  versionNewer: (file: string, version: number, known: number) =>
    error(
      'version-newer',
      file,
      `${file} was written by a newer Yarn Card (format ${version}; this one reads up to ${known}).`,
      'Open it with the newer version. Nothing was changed.',
    ),

  misshapen: (file: string, path: string, wrong: string, more: number) =>
    error(
      'project-misshapen',
      path,
      `${file} cannot be opened: ${wrong}${more > 0 ? `, and ${count(more, 'more place')}` : ''}.`,
      'Correct it there, or take an earlier version of the file.',
    ),

  computedCircle: (
    { name, source }: { name: string; source: string },
    circle: readonly string[],
  ) => {
    const [first = ''] = circle;
    return {
      ...error(
        'computed-circle',
        '',
        `${name}: ${[...circle, first].join(' → ')} read each other round in a circle, so none has a value.`,
        'Have one of them read something else.',
      ),
      place: { in: 'items', source, field: first },
    } as const;
  },

  itemsMissing: (source: string) =>
    ({
      ...error(
        'items-missing',
        `items/${source}`,
        `The file holds no items for the source "${source}".`,
        'Bring the items again to see rows.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  rowOverBudget: (
    { id: template, row }: { readonly id: string; readonly row: { readonly id: string } },
    partCount: number,
    max: number,
  ): Finding => ({
    code: 'row-over-budget',
    severity: 'warning',
    place: { in: 'part', template, part: row.id, property: 'direction', from: 0, to: 0 },
    message: `${template} has ${partCount} parts; the project allows ${max}.`,
    hint: 'Take parts out, or allow more where the row is read aloud.',
  }),

  actionUnknown: ({ template, part, gesture, action }: ActionUse): Finding => ({
    code: 'event.unknown',
    severity: 'error',
    place: { in: 'part', template, part, property: gesture, from: 0, to: 0 },
    message: clipped(`"${action}" is no action of this project.`),
    hint: 'Make an action of that name, or choose another: nothing happens until then.',
  }),

  actionUnfit: (action: string, wrong: Finding) =>
    error(
      'event.unfit',
      `actions/${action}`,
      `The action "${action}": ${wrong.message}`,
      wrong.hint,
    ),

  /** Two gestures of one row raise the same event: the app can't tell them apart. */
  eventTwice: ({ template, part, action }: ActionUse, words: readonly string[]): Finding => ({
    code: 'event.twice',
    severity: 'note',
    place: { in: 'part', template, part, property: 'tap', from: 0, to: 0 },
    message: clipped(`"${action}" is raised by ${words.join(' and by ')}.`),
    hint: 'If the app is to tell them apart, give one of them an action of its own.',
  }),

  typeUnknown: (template: string, type: string) =>
    error(
      'template-type-unknown',
      `templates/${template}`,
      `The template "${template}" is for items of type "${type}", which is not there.`,
      'Choose the type that it is for.',
    ),

  fontUnknown: (style: string, family: string) =>
    ({
      ...error(
        'font-unknown',
        `styles/${style}`,
        `The style "${style}" names the font "${family}", which the project does not have.`,
        'Its texts are drawn in the faces that every project has. Drop the font file, or choose another.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  colourUnknown: (style: string, colour: string) =>
    ({
      ...error(
        'look-unknown',
        `styles/${style}`,
        `The style "${style}" names the colour "${colour}", which the project does not have.`,
        'Its texts are drawn as what they stand in. Choose another colour, or make one of that name.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  templateUnknown: (list: string, template: string) =>
    error(
      'choice-template-unknown',
      `lists/${list}`,
      `The list "${list}" chooses the template "${template}", which is not there.`,
      'Choose another template.',
    ),

  choiceTypeUnknown: (list: ListNamed, at: number, type: string) =>
    error(
      'choice-type-unknown',
      choicePath(list, at),
      `Choice ${at + 1} of “${list.name}” takes items of the type "${type}", which its source does not have.`,
      'Choose another type for it, or remove it.',
    ),

  conditionUnfit: (list: ListNamed, at: number, { message, hint }: Finding) =>
    error(
      'choice-condition-unfit',
      choicePath(list, at),
      `The condition of choice ${at + 1} of “${list.name}” holds for no item: ${message}`,
      hint,
    ),

  orderUnfit: (list: ListNamed, by: string, { message, hint }: Finding) =>
    error(
      'order-unfit',
      `lists/${list.id}/order`,
      `The items of “${list.name}” can't be sorted by ${by}: ${message}`,
      hint,
    ),

  sectionsUnfit: (list: ListNamed, by: string, { message, hint }: Finding) =>
    error(
      'sections-unfit',
      `lists/${list.id}/sections`,
      `The items of “${list.name}” can't be put in sections by ${by}: ${message}`,
      hint,
    ),

  insertSourceUnknown: (list: ListNamed, source: string) =>
    error(
      'insert-source-unknown',
      `lists/${list.id}/inserts`,
      `What “${list.name}” inserts shows items of the source "${source}", which is not there.`,
      'Choose another source, or none: then it says the same each time.',
    ),

  standingUnfit: (list: ListNamed, found: { readonly template: string; readonly source: string }) =>
    ({
      ...error(
        'standing-unfit',
        `lists/${list.id}`,
        `“${list.name}” shows the template "${found.template}" beside its rows, which is for items of the source "${found.source}".`,
        'Fields that it does not find stay blank. Choose a template for its own items.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  choiceNeverReached: (list: ListNamed, at: number, before: number) =>
    ({
      ...error(
        'choice-never-reached',
        choicePath(list, at),
        `Choice ${at + 1} of “${list.name}” takes no item ever: choice ${before + 1} takes all that it could.`,
        'Move it up, or remove it.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  nothingChosen: (
    list: ListNamed,
    at: number,
    found: { readonly count: number; readonly look: string | undefined },
  ) =>
    error(
      'choice-nothing-chosen',
      choicePath(list, at),
      `${count(found.count, 'item')} of “${list.name}” ${found.count === 1 ? 'gets' : 'get'} no template${found.look === undefined ? '' : ` in the look ${found.look}`}: ${at < list.choices.length ? `choice ${at + 1} chooses` : 'for all that no choice takes, nothing is chosen'}${at < list.choices.length ? ' none' : ''}.`,
      'Choose a template, or leave them out on purpose.',
    ),

  choiceUnfit: (
    list: ListNamed,
    at: number,
    found: { readonly count: number; readonly type: string; readonly template: string },
  ) =>
    ({
      ...error(
        'choice-unfit',
        choicePath(list, at),
        `${count(found.count, 'item')} of the type ${found.type} in “${list.name}” ${found.count === 1 ? 'gets' : 'get'} the template "${found.template}", which is for another type.`,
        'Fields that they do not have stay blank. Add a choice for the type.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  templateUnused: ({ id, name }: { readonly id: string; readonly name: string }) =>
    ({
      ...error(
        'template-unused',
        `templates/${id}`,
        `No list chooses the template "${id}" (${name}).`,
        'Choose it for some items, or remove it.',
      ),
      severity: 'note',
    }) satisfies Finding,

  templateOfOtherType: (list: string, template: string, type: string) =>
    ({
      ...error(
        'choice-type-differs',
        `lists/${list}`,
        `The list "${list}" shows items of type "${type}" with the template "${template}", which is for another type.`,
        'Fields that the type does not have stay blank. Choose a template of the type.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  typeGoes: (type: string, name: string, templates: string) =>
    ({
      ...error(
        'type-goes',
        `types/${type}`,
        `The type ${name} goes, with ${templates === '' ? 'no template' : `its templates (${templates})`}, and its list begins anew.`,
        'The items there are of another shape. One step takes it back.',
      ),
      severity: 'warning',
    }) satisfies Finding,

  sourceUnknown: (list: string, source: string) =>
    error(
      'list-source-unknown',
      `lists/${list}`,
      `The list "${list}" shows the source "${source}", which is not there.`,
      'Choose a source for the list.',
    ),
} as const;
