import type { LightCell } from './light-column';

/** Rows that name the lens where it is another than in the row before that is shot. */
export function onceEachLens<R extends { readonly cell: LightCell | undefined }>(
  rows: readonly R[],
): readonly R[] {
  let before: string | undefined;
  return rows.map((row) => {
    const { cell } = row;
    if (!cell?.lens) return row;
    const isSame = cell.lens === before;
    before = cell.lens;
    const { lens: _said, ...rest } = cell;
    return isSame ? { ...row, cell: rest } : row;
  });
}
