import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { strFromU8, unzipSync } from 'fflate';
import { DOMParser } from '@xmldom/xmldom';
import { load } from 'exifreader';
import type { Caption } from '@/records/captions';
import { sidecarName, sidecarPaths, writeCaptionTable, zipCaptions } from './captions-zip';
import { writeSidecar, type SidecarFields } from './xmp';

const FIELDS: SidecarFields = {
  caption: 'Ada Finch (4, Westmere) in the 100 m, heat 2, Harrow Field, Saturday 19 June 2027.',
  headline: '100 m, heat 2',
  names: ['Ada Finch', 'Bea Marsh'],
  event: '100 m, heat 2',
  place: 'Harrow Field',
  keywords: ['Ada Finch', 'Bea Marsh', 'Westmere'],
  photographer: 'C. Holm',
  rights: '© C. Holm',
  takenAt: '2027-06-19T10:02:11+01:00',
  stars: 4,
};

/** As a reader of pictures finds it: the packet within a picture's own segment. */
function asReadInPicture(xmp: string): Record<string, { description?: string; value?: unknown }> {
  const body = new TextEncoder().encode(`http://ns.adobe.com/xap/1.0/\0${xmp}`);
  const length = body.length + 2;
  const jpeg = new Uint8Array([
    ...[0xff, 0xd8, 0xff, 0xe1, length >> 8, length & 0xff],
    ...body,
    ...[0xff, 0xd9],
  ]);
  const tags = load(jpeg.buffer, { expanded: true, domParser: new DOMParser() });
  return tags.xmp as unknown as Record<string, { description?: string; value?: unknown }>;
}

/** As a second parser finds it: the properties of the one description. */
function asXml(xmp: string): Record<string, unknown> {
  expect(XMLValidator.validate(xmp)).toBe(true);
  const parsed = new XMLParser({ ignoreAttributes: false, parseTagValue: false }).parse(xmp);
  return parsed['x:xmpmeta']['rdf:RDF']['rdf:Description'];
}
const inAlt = (property: unknown) =>
  (property as { 'rdf:Alt': { 'rdf:li': { '#text': string; '@_xml:lang': string } } })['rdf:Alt'][
    'rdf:li'
  ];

test('two readers find in it what was written', () => {
  const xmp = writeSidecar(FIELDS);
  const read = asReadInPicture(xmp);
  expect(read.description?.description).toBe(FIELDS.caption);
  expect(read.creator?.description).toBe('C. Holm');
  expect(read.PersonInImage?.description).toBe('Ada Finch, Bea Marsh');
  expect(read.Event?.description).toBe(FIELDS.event);
  expect(read.Location?.description).toBe('Harrow Field');
  expect(read.DateCreated?.value).toBe(FIELDS.takenAt);
  expect(read.Rating?.value).toBe('4');
  const xml = asXml(xmp);
  expect(inAlt(xml['dc:description'])).toEqual({
    '#text': FIELDS.caption,
    '@_xml:lang': 'x-default',
  });
  expect(xml['Iptc4xmpExt:PersonInImage']).toEqual({
    'rdf:Bag': { 'rdf:li': ['Ada Finch', 'Bea Marsh'] },
  });
  expect(xml['photoshop:DateCreated']).toBe(FIELDS.takenAt);
});

/**
 * Value types of the IPTC Photo Metadata Standard 2023.2 and of ISO 16684-1 (as published at iptc.org; from memory):
 * description, rights and event are language alternatives, the creator is an ordered list, people and keywords are bags.
 */
test('its properties are of the types that the standards give them', () => {
  const xml = asXml(writeSidecar(FIELDS)) as Record<string, Record<string, unknown> | string>;
  const kinds = Object.fromEntries(
    Object.entries(xml)
      .filter(([name]) => !name.startsWith('@_'))
      .map(([name, value]) => [name, typeof value === 'string' ? 'text' : Object.keys(value)[0]]),
  );
  expect(kinds).toEqual({
    'dc:description': 'rdf:Alt',
    'dc:creator': 'rdf:Seq',
    'dc:rights': 'rdf:Alt',
    'dc:subject': 'rdf:Bag',
    'photoshop:Headline': 'text',
    'photoshop:DateCreated': 'text',
    'xmp:CreateDate': 'text',
    'exif:DateTimeOriginal': 'text',
    'xmp:Rating': 'text',
    'xmpRights:Marked': 'text',
    'Iptc4xmpCore:Location': 'text',
    'Iptc4xmpExt:PersonInImage': 'rdf:Bag',
    'Iptc4xmpExt:Event': 'rdf:Alt',
  });
});

test.each([
  ['umlauts', 'Jürgen Größe-Ødegård'],
  ['from the right', 'نورة مريم'],
  ['pictures', '🐦 Wren'],
  ['signs', 'Marsh & Holm <AC> "B" \'C\''],
  ['long', 'x'.repeat(300)],
])('names with %s come back as they are', (_, name) => {
  const xmp = writeSidecar({ ...FIELDS, caption: name, names: [name] });
  expect(asReadInPicture(xmp).PersonInImage?.description).toBe(name);
  expect(inAlt(asXml(xmp)['dc:description'])['#text']).toBe(name);
});

test('what no XML may hold is left out, and so is what is empty', () => {
  const xmp = writeSidecar({
    ...{ caption: 'a\u0000b\uD800c', names: [''], place: '', keywords: [], photographer: '' },
    ...{ rights: '', takenAt: FIELDS.takenAt },
  });
  const xml = asXml(xmp);
  expect(inAlt(xml['dc:description'])['#text']).toBe('abc');
  expect(Object.keys(xml).filter((name) => !name.startsWith('@_'))).toEqual([
    ...['dc:description', 'photoshop:DateCreated', 'xmp:CreateDate', 'exif:DateTimeOriginal'],
  ]);
});

const CAPTION: Caption = {
  ...{ file: 'LMR_0001.JPG', camera: 'A', text: 'Caption', names: ['Ada'], numbers: ['4'] },
  ...{ teams: ['Westmere'], place: 'Harrow', takenAt: FIELDS.takenAt },
  ...{ photographer: '', rights: '' },
};

test('a sidecar is named after its picture and lies in nobody else’s place', () => {
  expect(sidecarName('LMR_0001.JPG')).toBe('LMR_0001.xmp');
  expect(sidecarName('../..\\a.b.CR3')).toBe('__.._a.b.xmp');
  const of = (file: string, camera: string) => ({ file, camera });
  expect(sidecarPaths([of('1.jpg', 'A'), of('2.jpg', 'B')])).toEqual(['1.xmp', '2.xmp']);
  expect(sidecarPaths([of('1.jpg', 'A'), of('1.jpg', 'B/C'), of('2.jpg', '')])).toEqual([
    ...['A/1.xmp', 'B_C/1.xmp', 'camera/2.xmp'],
  ]);
  expect(sidecarPaths([of('1.jpg', 'A'), of('1.jpg', 'A')])).toEqual(['1.xmp', '2/1.xmp']);
});

test('the archive holds a sidecar a picture and the table, whose cells no spreadsheet runs', () => {
  const nasty = { ...CAPTION, file: 'b.jpg', text: '=1+1', names: ['+A'], teams: ['@B'] };
  const files = unzipSync(zipCaptions([CAPTION, nasty]));
  expect(Object.keys(files).sort()).toEqual(['LMR_0001.xmp', 'b.xmp', 'captions.csv']);
  expect(strFromU8(files['LMR_0001.xmp'] as Uint8Array)).toContain('<rdf:li>Westmere</rdf:li>');
  const table = strFromU8(files['captions.csv'] as Uint8Array);
  expect(table).toContain("'=1+1");
  expect(table).toContain("'+A");
  expect(table).toContain("'@B");
  // Those of one client stand together.
  const rows = writeCaptionTable([
    { ...CAPTION, teams: ['B'] },
    { ...CAPTION, teams: ['A'], rollDeg: -1.24 },
    { ...CAPTION, teams: ['B'] },
  ]).split('\r\n');
  expect(rows.slice(1, 4).map((row) => row.split(',')[6])).toEqual(['A', 'B', 'B']);
  // Only where the camera says it.
  expect(rows.slice(1, 4).map((row) => row.split(',').at(-1))).toEqual(['-1.2', '', '']);
});
