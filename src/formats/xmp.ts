import { xmlText } from './xml-text';

/**
 * A sidecar of metadata beside a picture: XMP (ISO 16684-1) with the properties of Dublin Core, the IPTC Core and
 * Extension and Photoshop's namespace that picture editors read. The picture itself is not touched.
 */

/** What a sidecar says. Empty texts are left out. */
export interface SidecarFields {
  readonly caption: string;
  readonly headline?: string;
  readonly names: readonly string[];
  readonly event?: string;
  readonly place: string;
  readonly keywords: readonly string[];
  readonly photographer: string;
  readonly rights: string;
  /** ISO 8601 with its zone. */
  readonly takenAt: string;
  /** 0 to 5. */
  readonly stars?: number;
}

const SPACES = {
  rdf: 'http://www.w3.org/1999/02/22-rdf-syntax-ns#',
  dc: 'http://purl.org/dc/elements/1.1/',
  xmp: 'http://ns.adobe.com/xap/1.0/',
  xmpRights: 'http://ns.adobe.com/xap/1.0/rights/',
  photoshop: 'http://ns.adobe.com/photoshop/1.0/',
  exif: 'http://ns.adobe.com/exif/1.0/',
  Iptc4xmpCore: 'http://iptc.org/std/Iptc4xmpCore/1.0/xmlns/',
  Iptc4xmpExt: 'http://iptc.org/std/Iptc4xmpExt/2008-02-29/',
} as const;

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};
const escaped = (text: string): string =>
  xmlText(text).replace(/[&<>"]/g, (sign) => ESCAPES[sign] ?? sign);

const simple = (name: string, text: string | undefined): readonly string[] =>
  text ? [`<${name}>${escaped(text)}</${name}>`] : [];
/** A text that may stand in several languages; here in none. */
const inAnyLanguage = (name: string, text: string | undefined): readonly string[] =>
  text
    ? [
        `<${name}><rdf:Alt><rdf:li xml:lang="x-default">${escaped(text)}</rdf:li></rdf:Alt></${name}>`,
      ]
    : [];
const listed = (name: string, kind: 'Bag' | 'Seq', texts: readonly string[]): readonly string[] => {
  const items = texts.filter(Boolean).map((text) => `<rdf:li>${escaped(text)}</rdf:li>`);
  return items.length > 0
    ? [`<${name}><rdf:${kind}>${items.join('')}</rdf:${kind}></${name}>`]
    : [];
};

/** The sidecar as a text. Property types as the IPTC Photo Metadata Standard and ISO 16684-1 have them. */
export function writeSidecar(fields: SidecarFields): string {
  const { caption, headline, names, event, place, keywords, photographer, rights } = fields;
  const spaces = Object.entries(SPACES).map(([prefix, uri]) => `xmlns:${prefix}="${uri}"`);
  const said = [
    ...inAnyLanguage('dc:description', caption),
    ...listed('dc:creator', 'Seq', [photographer]),
    ...inAnyLanguage('dc:rights', rights),
    ...listed('dc:subject', 'Bag', keywords),
    ...simple('photoshop:Headline', headline),
    ...simple('photoshop:DateCreated', fields.takenAt),
    ...simple('xmp:CreateDate', fields.takenAt),
    ...simple('exif:DateTimeOriginal', fields.takenAt),
    ...(fields.stars === undefined ? [] : simple('xmp:Rating', String(fields.stars))),
    ...(rights ? simple('xmpRights:Marked', 'True') : []),
    ...simple('Iptc4xmpCore:Location', place),
    ...listed('Iptc4xmpExt:PersonInImage', 'Bag', names),
    ...inAnyLanguage('Iptc4xmpExt:Event', event),
  ];
  return `${[
    '<?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>',
    '<x:xmpmeta xmlns:x="adobe:ns:meta/">',
    ` <rdf:RDF xmlns:rdf="${SPACES.rdf}">`,
    `  <rdf:Description rdf:about="" ${spaces.slice(1).join(' ')}>`,
    ...said.map((line) => `   ${line}`),
    '  </rdf:Description>',
    ' </rdf:RDF>',
    '</x:xmpmeta>',
    '<?xpacket end="w"?>',
  ].join('\n')}\n`;
}
