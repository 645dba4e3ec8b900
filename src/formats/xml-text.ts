/** What XML 1.0 (its second production) has no place for: control characters, and halves of pairs. */
const NOT_XML = /[^\u0009\u000A\u000D\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu;

/** A text without what no XML may hold. */
export const xmlText = (text: string): string => text.replace(NOT_XML, '');
