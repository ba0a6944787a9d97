/**
 * Items that come again for a source: once, asked for at a pace, or as events.
 */
export type { MoreCame } from './asking';
export { following } from './following';
export {
  type ArrivalSummary,
  EngineImport,
  type FollowNews,
  type ImportHow,
  type ImportSummary,
} from './import';
