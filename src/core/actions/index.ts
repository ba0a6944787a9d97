/**
 * Actions: what gestures and controls ask the app for, and what they hand over. Only what they are;
 * how they are made ready for items, the project knows, and what becomes of them, who shows the list.
 */
export {
  type Action,
  actionsNamed,
  canNameActions,
  type Effect,
  type Gesture,
  gestures,
  idsPattern,
  isActionId,
  isGesture,
  type Payload,
  wordsOfAction,
} from './action';
export { actionShape } from './shape';
