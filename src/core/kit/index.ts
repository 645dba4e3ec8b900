export {
  bestFramed,
  framed,
  FRAMED_SHARE,
  framingRange,
  takeOver,
  type Combination,
  type Framed,
  type FramingRange,
  type FramingWanted,
  type TakeOver,
} from './framing';
export { frameMb, framesExpected, KEEPER_RATE } from './frames';
export { batteriesFor, buffer, cardsFor, coldShare, type Buffer } from './storage';
