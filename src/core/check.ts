/**
 * Argument checks at the border of the core. Each returns the value it was given or throws a
 * `RangeError` that names the field, its value and what is allowed.
 */

function refuse(field: string, value: unknown, allowed: string): never {
  throw new RangeError(`${field} ${String(value)}: must be ${allowed}`);
}

export function finite(field: string, value: number): number {
  return Number.isFinite(value) ? value : refuse(field, value, 'a finite number');
}

export function above(field: string, value: number, limit: number): number {
  return Number.isFinite(value) && value > limit ? value : refuse(field, value, `above ${limit}`);
}

export function atLeast(field: string, value: number, limit: number): number {
  return Number.isFinite(value) && value >= limit
    ? value
    : refuse(field, value, `at least ${limit}`);
}

export function within(field: string, value: number, low: number, high: number): number {
  return Number.isFinite(value) && value >= low && value <= high
    ? value
    : refuse(field, value, `from ${low} to ${high}`);
}

export function oneOf<T extends string>(field: string, value: T, allowed: readonly T[]): T {
  return allowed.includes(value) ? value : refuse(field, value, `one of ${allowed.join(', ')}`);
}

export function nonEmpty<T>(field: string, list: readonly T[], atLeastCount = 1): readonly T[] {
  return list.length >= atLeastCount
    ? list
    : refuse(field, `of length ${list.length}`, `at least ${atLeastCount} long`);
}
