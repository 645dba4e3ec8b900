import { onceEachLens } from './once-each-lens';

test('a lens is named where it changes; a row that is not shot does not come between', () => {
  const cell = {
    ev: '12.0',
    side: 'front light',
    shutter: '1/500',
    aperture: 'f/4',
    iso: 'ISO 200',
  };
  const rows = ['300 mm', '300 mm', undefined, '300 mm', '70 mm', '300 mm'].map((lens) => ({
    cell: lens === undefined ? undefined : { ...cell, lens },
  }));
  const said = onceEachLens(rows).map((row) => row.cell?.lens);
  expect(said).toEqual(['300 mm', undefined, undefined, undefined, '70 mm', '300 mm']);
  expect(onceEachLens(rows)[1]?.cell).toEqual(cell);
});
