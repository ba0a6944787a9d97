/**
 * The project: its shape, its file read and written, the edits that change it and the history
 * that undoes them. The items are not in it; whoever holds both passes both.
 */

export { type ActionReady, readyAction } from './acting/actions';
export { type ActionUse, actionUsesIn, actionWithId, usesOfAction } from './acting/uses';
export { fieldNamed, fieldWritten, isChanged, writableFields } from './acting/writes';
export { conditionOf, fieldsOfChoice, sortExpression } from './choosing/choices';
export { type Draft, draftsFor } from './drafting/drafts';
export { type DraftedPlace, standingDraft } from './drafting/standing-drafts';
export {
  type ActionChange,
  type Asked,
  type ChoicePlace,
  type Edit,
  edits,
  type FieldPlace,
  freeFormatId,
  freePartId,
  freeTemplateId,
  inOneStep,
  matchFields,
  type PropertyPlace,
  type Separator,
  type StandingPlace,
  separatorsIn,
  usesOfTemplate,
} from './edits';
export { wholeValuesOf } from './edits/templates/whole-inputs';
export { environmentOf, type FindItem } from './environment';
export { projectFileSchema } from './file/file-schema';
export { loadLimits, type WhyPastLimits } from './file/limits';
export { looksLikeProject } from './file/looks-like';
export { type ProjectFile, readProject } from './file/read';
export { fileNameOf, writeProject } from './file/write';
export { projectFindings } from './findings';
export { foresee, goesWith, withMends } from './foresee';
export { formatFrom } from './format-from';
export { forgetRevision, type History, makeEdit, redo, startHistory, undo } from './history';
export { isShapeKnown, sourcesOfShape } from './known-shape';
export { type StartingSet, startingSets } from './looks-to-start-from';
export {
  draftFromSchema,
  draftSource,
  draftTemplate,
  makeProject,
  projectFromSchema,
  type SourceDraft,
} from './make';
export { changeInWords, changesBetween } from './merging/changes';
export { conflictInWords, mergeProjects } from './merging/merge-projects';
export { migrated } from './migrations';
export { type NamedUse, usesOfName } from './named-uses';
export { copied, pieceText } from './pieces/copy';
export { arriving, looksLikePiece, readPiece } from './pieces/paste';
export type { Piece } from './pieces/piece';
export {
  partAtPlace,
  partSpan,
  readTemplateText,
  type TemplateRead,
  templateText,
} from './pieces/template-text';
export {
  brokenReferences,
  compileFor,
  drawnPartCount,
  scopeFor,
} from './problems';
export {
  coloursOf,
  contentsNamed,
  drawnStyles,
  type ItemSet,
  type ItemType,
  itemsIdOf,
  type Look,
  localeOf,
  lookShown,
  type Origin,
  ownSet,
  type Project,
  rawDiscriminator,
  rawKey,
  rawName,
  type Source,
  spacingOf,
  stylesOf,
  tokensOf,
  typeFinder,
  typesOf,
  typesOfList,
  withId,
} from './project';
export { shownTemplate, shownTemplates } from './rows/rows';
export { sharedUses } from './rows/shared-parts';
export { idsIn, type UsedIds } from './used-ids';
export { type FieldUse, usesOfField } from './uses';
