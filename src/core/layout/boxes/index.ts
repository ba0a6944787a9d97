export {
  type Alignment,
  type Box,
  type Distribution,
  type LayoutNode,
  type Length,
  type MeasuredText,
  unitsAt,
} from './node';
export { solve } from './solve';
