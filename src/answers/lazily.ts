/** Computed when first asked for: a drag asks for the geometry alone. */
export function lazily<T>(compute: () => T): () => T {
  let known: { readonly value: T } | undefined;
  return () => (known ??= { value: compute() }).value;
}
