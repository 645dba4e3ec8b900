/** What every browser has and jsdom has not. */
const { TextDecoder, TextEncoder } = require('node:util');

Object.assign(globalThis, { TextDecoder, TextEncoder });
// Nothing is drawn here: whoever asks is told so.
HTMLCanvasElement.prototype.getContext = () => null;
