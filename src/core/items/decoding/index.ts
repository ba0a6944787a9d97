/**
 * Decoding: text and numbers that mean a date, a time, a number or a yes become one, once, at the
 * source. What does not decode is missing, with its reason; nothing throws, nothing is guessed.
 */
export {
  type BetterReading,
  betterReading,
  fieldReadSo,
  isReadAsFound,
  readingInWords,
  settledWay,
} from './better';
export { type Decode, decoder, decodingInWords, isThere, typeDecoded } from './decode';
export { heldReshaper, withOwn } from './held';
export { type Proposal, proposeDecodings } from './propose';
export { followsTime, reshaper, whyNotDecoded } from './reshape';
export { type Slip, slipsIn } from './slips';
