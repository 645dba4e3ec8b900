import { CAPTION_FIELDS, unknownField, type PressNamed } from '@/answers/captions';

/** What is said of names and captions. */

/** How it is known who is on a press. */
export function namedInWords({ who, by }: PressNamed): string {
  switch (by) {
    case 'hand':
      return who.length === 0 ? 'Nobody, as you said.' : 'As you said.';
    case 'tap':
      return 'As tapped in the field about then: look, and change it if it is wrong.';
    case 'only':
      return 'Nobody else starts in this event.';
    case 'nothing':
      return 'Not known yet.';
  }
}

/** "10:02:05, 4 pictures: LMR_0001 to LMR_0004". */
export function pressInWords(names: readonly string[], at: string): string {
  const plain = names.map((name) => name.replace(/\.[^.]+$/, ''));
  const [first, last] = [plain[0] ?? '', plain.at(-1) ?? ''];
  return names.length === 1 ? `${at}  ${first}` : `${at}  ${names.length}: ${first} to ${last}`;
}

/** What is wrong with a pattern, to be changed; nothing where it is right. */
export function patternProblem(pattern: string): string | undefined {
  if (pattern.trim() === '') return 'write at least one field, such as {who}';
  const unknown = unknownField(pattern);
  return unknown === undefined
    ? undefined
    : `{${unknown}} is no field: take ${CAPTION_FIELDS.map((name) => `{${name}}`).join(', ')}`;
}
