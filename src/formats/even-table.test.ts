import Papa from 'papaparse';
import { writeEvenTable } from './even-table';

const READ = { header: true, skipEmptyLines: true } as const;
const row = { camera: 'Body A', takenLocal: '2027-04-16T19:52:44', run: 3, of: 'Third quarter' };

test('a picture a row, with figures to be set in any editor; what does not apply stays empty', () => {
  const { data, errors } = Papa.parse<Record<string, string>>(
    writeEvenTable([
      { ...row, file: 'LMR_0031.jpg', liftStops: 0.6912, flickersWith: 'LMR_0032.jpg' },
      {
        ...{ ...row, file: 'LMR_0033.jpg', liftStops: -0.04 },
        ...{ keptFraction: 0.7612, megapixels: 13.96, turnDeg: -1.24 },
      },
    ]),
    READ,
  );
  expect(errors).toEqual([]);
  expect(data).toEqual([
    {
      File: 'LMR_0031.jpg',
      Camera: 'Body A',
      Taken: '2027-04-16T19:52:44',
      Run: '3',
      Of: 'Third quarter',
      'Lift, stops': '0.7',
      'Lamps flickered beside': 'LMR_0032.jpg',
      'Crop, % of each side': '',
      'Megapixels left': '',
      'Turn clockwise, degrees': '',
    },
    expect.objectContaining({
      'Lift, stops': '0',
      'Lamps flickered beside': '',
      'Crop, % of each side': '76',
      'Megapixels left': '14',
      'Turn clockwise, degrees': '-1.2',
    }),
  ]);
});

test('no cell runs in a spreadsheet, whatever a file or an event is called', () => {
  const { data } = Papa.parse<Record<string, string>>(
    writeEvenTable([
      { ...row, file: '=HYPERLINK("x").jpg', flickersWith: '@a.jpg', of: '-1+1, "heat"' },
    ]),
    READ,
  );
  expect(data[0]?.File).toBe(`'=HYPERLINK("x").jpg`);
  expect(data[0]?.['Lamps flickered beside']).toBe(`'@a.jpg`);
  expect(data[0]?.Of).toBe(`'-1+1, "heat"`);
});
