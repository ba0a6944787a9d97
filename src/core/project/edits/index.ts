/** Every change that a person can make to a project: one function an edit, grouped by what it changes. */

import { paste } from '../pieces/paste';
import { writeTemplate } from '../pieces/template-text';

export type { ActionChange } from './actions';

import { addAction, changeAction, removeAction, renameAction } from './actions';
import { checkTextSizes, checkWidths } from './checked-at';
import { addColour, changeColour, removeColour, renameColour } from './colours';
import {
  addFormat,
  changeFormat,
  freeFormatId,
  removeFormat,
  renameFormat,
  setLocales,
} from './formats';
import { limitParts, rename } from './general';
import { importAgain, typesGrow } from './import-again';
import {
  addChoice,
  addLook,
  ask,
  choose,
  moveChoice,
  removeChoice,
  removeLook,
  renameLook,
} from './lists/choices';
import {
  arrangeAs,
  duplicateList,
  removeList,
  renameList,
  sortBy,
  takeSources,
} from './lists/lists';
import {
  coverSafeAreas,
  divide,
  filterBy,
  insertBetween,
  selectRows,
  showInState,
  stand,
  takeHabit,
} from './lists/standing';
import { joinFields, splitField } from './parting';
import { addPictures, removePicture, renamePicture } from './pictures';
import {
  addSet,
  addSource,
  itemsChanged,
  mergeTypes,
  removeSet,
  removeSource,
  renameSource,
  replaceSource,
  setGoesOn,
  setKey,
  splitTypes,
} from './sources';
import { addStep, changeStep, removeStep, renameStepOf } from './spacing';
import {
  addFonts,
  addStyle,
  changeStyle,
  removeFont,
  removeStyle,
  renameFont,
  renameStyle,
  takeSet,
  takeTokens,
} from './styles';
import { duplicate, move, remove, renamePart, unwrap, wrap } from './templates/parts';
import {
  addInput,
  changeInput,
  removeInput,
  removeShared,
  renameInput,
  renameShared,
  share,
} from './templates/shared';
import { addRunTo, bind, freePartId, insert, set } from './templates/templates';
import {
  addDraft,
  addTemplate,
  duplicateTemplate,
  giveTemplate,
  listOfItsOwn,
  removeTemplate,
  renameTemplate,
  takeDraft,
} from './templates/whole';
import {
  addComputed,
  addField,
  compute,
  decodeField,
  leaveField,
  removeField,
  renameField,
  renameType,
  requireField,
  retypeField,
} from './types';

export { type Edit, inOneStep } from './edit';
export type { Asked, ChoicePlace } from './lists/choices';
export type { StandingPlace } from './lists/standing';
export { type Separator, separatorsIn } from './parting';
export type { PropertyPlace } from './templates/templates';
export { freeTemplateId, matchFields, usesOfTemplate } from './templates/whole';
export type { FieldPlace } from './types';
export { freeFormatId, freePartId };

export const edits = {
  addAction,
  changeAction,
  renameAction,
  removeAction,
  selectRows,
  takeHabit,
  rename,
  limitParts,
  takeSet,
  takeTokens,
  addStep,
  changeStep,
  renameStepOf,
  removeStep,
  addFormat,
  changeFormat,
  renameFormat,
  removeFormat,
  setLocales,
  checkWidths,
  checkTextSizes,
  setKey,
  renameSource,
  addSource,
  removeSource,
  replaceSource,
  itemsChanged,
  addSet,
  removeSet,
  importAgain,
  typesGrow,
  setGoesOn,
  splitTypes,
  mergeTypes,
  addField,
  addComputed,
  compute,
  renameField,
  retypeField,
  requireField,
  decodeField,
  leaveField,
  removeField,
  splitField,
  joinFields,
  renameType,
  addChoice,
  ask,
  choose,
  moveChoice,
  removeChoice,
  addLook,
  renameLook,
  removeLook,
  arrangeAs,
  takeSources,
  divide,
  coverSafeAreas,
  insertBetween,
  stand,
  showInState,
  filterBy,
  sortBy,
  duplicateList,
  renameList,
  removeList,
  addTemplate,
  renameTemplate,
  duplicateTemplate,
  removeTemplate,
  giveTemplate,
  listOfItsOwn,
  takeDraft,
  addDraft,
  bind,
  insert,
  addRunTo,
  addStyle,
  changeStyle,
  renameStyle,
  removeStyle,
  addFonts,
  renameFont,
  removeFont,
  addColour,
  changeColour,
  renameColour,
  removeColour,
  move,
  wrap,
  unwrap,
  duplicate,
  paste,
  writeTemplate,
  renamePart,
  remove,
  set,
  share,
  renameShared,
  removeShared,
  addInput,
  changeInput,
  renameInput,
  removeInput,
  addPictures,
  removePicture,
  renamePicture,
} as const;
