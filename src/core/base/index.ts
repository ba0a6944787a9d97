/**
 * The ground that every other room of the core stands on: results, findings, JSON values,
 * ids. It knows nothing of items, projects or rows, and imports nothing.
 */
export { clipped } from './clip';
export { contrastOn, nearestReadable } from './contrast';
export { piecesOf, wordsOf } from './date-fields';
export { keepsDigits } from './digits';
export { directionOf, type TextDirection } from './direction';
export { durationOfSeconds, secondsOfDuration } from './duration';
export type { Finding, Mend, Place, Severity } from './finding';
export { findingsOnce, placeInWords } from './finding';
export { freeId, slug } from './id';
export type { Json, JsonRecord } from './json/json';
export { isDeeperThan, isRecord, ownReader, ownValue } from './json/json';
export { type JsonFault, type PlacedJson, placesInJson, type TextSpan } from './json/json-places';
export { type Bit, bitsOf } from './markup';
export { type Random, seededRandom } from './random';
export type { Result } from './result';
export { failed, ok } from './result';
export { nearest, spellingDistance } from './spelling';
export { atOnce, inTurns, type Turns } from './turns';
export { count, grouped, namesInWords } from './words';
