/** 0 to 1 from a text, the same each time (FNV-1a and a final mix). For what is made up. */
export function chance(seed: string): number {
  let hash = 0x811c9dc5;
  for (const letter of seed) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 15), 0x85ebca6b);
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32;
}
