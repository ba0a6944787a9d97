import { type JsonRecord, ownValue } from '../../base';
import { formatVersion } from '../project';
import { oneToTwo } from './one-to-two';

/** The steps from each version to the next, the first from version 1. */
const steps: readonly ((project: JsonRecord) => JsonRecord)[] = [oneToTwo];

/** A project of an older version in the form of this one. What is wrong with it stays as it is. */
export function migrated(project: JsonRecord): JsonRecord {
  const version = ownValue(project, 'yarncard');
  if (typeof version !== 'number' || version >= formatVersion) return project;
  return steps.slice(version - 1).reduce((made, step) => step(made), project);
}
