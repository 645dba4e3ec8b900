/** A number as people write it: "52.1", "-1,87", "12°". Empty and other text give NaN. */
export function numberWritten(text: string): number {
  const plain = text.trim().replace(/[°\s]/g, '').replace('−', '-').replace(',', '.');
  return plain === '' ? NaN : Number(plain);
}

/** A number to so many places, without trailing noughts: "3", "3.05". */
export const numberShown = (value: number, places: number): string =>
  String(Number(value.toFixed(places)) + 0);
