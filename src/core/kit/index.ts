export { batteriesFor, buffer, cardsFor, coldShare, type Buffer } from './storage';
