/** Names and heats as meet offices write them. */

const titled = (word: string): string =>
  word.replace(/\p{L}+/gu, (part) => part.slice(0, 1) + part.slice(1).toLocaleLowerCase('en'));

/** Whether a name is shouted: "VAN DER LOCK". */
const isShouted = (name: string): boolean =>
  name.replace(/[^\p{L}]/gu, '').length > 1 &&
  name === name.toLocaleUpperCase('en') &&
  /\p{Lu}/u.test(name);

/** "Ash Lock" of "LOCK, Ash", "Lock, Ash" and "Ash LOCK"; what has no such comma stays as it is. */
export function personName(written: string): string {
  const text = written.trim().replace(/\s+/g, ' ');
  const parts = /^([^,]+), ?([^,]+)$/.exec(text);
  const [surname = '', given = ''] = parts ? parts.slice(1) : [];
  const isName = (part: string) => /^[\p{L}\p{M}'’.\- ]+$/u.test(part);
  // “Gannet, B” is a boat.
  if (!parts || !isName(surname) || !isName(given) || given.length < 2) {
    const words = text.split(' ');
    return words.length > 1 && words.some((word) => !isShouted(word))
      ? words.map((word) => (word.length > 2 && isShouted(word) ? titled(word) : word)).join(' ')
      : text;
  }
  return `${isShouted(given) ? titled(given) : given} ${isShouted(surname) ? titled(surname) : surname}`;
}

/** "1" of "Heat 1", "H1", "heat 1 of 4", "1/4"; "final" and other words stay as they are. */
export function heatName(written: string): string {
  const text = written.trim().replace(/\s+/g, ' ');
  const numbered =
    /^(?:heat|h|flight|section|series|no\.?)? ?#?(\d{1,2})(?: ?(?:of|\/) ?\d{1,2})?$/i.exec(text);
  return (numbered ? String(Number(numbered[1])) : text).slice(0, 40);
}
