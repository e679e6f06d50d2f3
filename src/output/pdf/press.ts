/** What makes a PDF one for a press: PDF/X-4 (ISO 15930-7:2010), its output intent, and what it says of itself. */
import { asXml } from '@/core/text/writable';
import {
  PDFDict,
  PDFHeader,
  PDFHexString,
  PDFName,
  PDFString,
  type PDFDocument,
  type PDFRef,
} from '@cantoo/pdf-lib';
import type { Condition } from '@/core/press/conditions';
import { srgbProfile } from '@/core/press/rgb-profile';
import { streamOf } from '@/output/pdf/stream';

export interface PressWish {
  condition: Condition;
  /** Its ICC profile. */
  profile: Uint8Array;
}

/** sRGB as a colour space of the file: what is named in RGB is that. */
export function embeddedRgb({ context }: PDFDocument): PDFRef {
  const profile = context.register(
    streamOf(context.obj({ N: 3, Alternate: 'DeviceRGB' }) as PDFDict, srgbProfile()),
  );
  return context.register(context.obj(['ICCBased', profile]));
}

/** Title and dates are said twice, in the old dictionary and in XMP, and must agree. */
export function markForPress(
  document: PDFDocument,
  { condition, profile }: PressWish,
  { title, made, id }: { title: string; made: Date; id: string },
): void {
  const { context, catalog } = document;
  context.header = PDFHeader.forVersion(1, 6);
  document.setModificationDate(made);
  context.lookup(context.trailerInfo.Info, PDFDict).set(PDFName.of('Trapped'), PDFName.of('False'));
  context.trailerInfo.ID = context.obj([PDFHexString.of(id), PDFHexString.of(id)]);
  const printed = context.register(
    streamOf(context.obj({ N: 4, Alternate: 'DeviceCMYK' }) as PDFDict, profile),
  );
  catalog.set(
    PDFName.of('OutputIntents'),
    context.obj([
      {
        Type: 'OutputIntent',
        S: 'GTS_PDFX',
        OutputConditionIdentifier: asText(condition.data),
        OutputCondition: asText(condition.name),
        RegistryName: PDFString.of('http://www.color.org'),
        Info: asText(condition.name),
        DestOutputProfile: printed,
      },
    ] as never),
  );
  const xmp = new TextEncoder().encode(packet(title, made, id));
  const facts = context.obj({ Type: 'Metadata', Subtype: 'XML' }) as PDFDict;
  catalog.set(PDFName.of('Metadata'), context.register(streamOf(facts, xmp)));
}

/** A text string (ISO 32000-1, 7.9.2.2): in brackets where ASCII is enough, else UTF-16 in hexadecimal. */
const asText = (text: string): PDFString | PDFHexString =>
  /^[\x20-\x7e]*$/.test(text) ? PDFString.of(text.replace(/[\\()]/g, '\\$&')) : PDFHexString.fromText(text);

/** XMP (ISO 16684-1), with the properties that ISO 15930-7, 6.4 asks for. */
function packet(title: string, made: Date, id: string): string {
  const date = `${made.toISOString().slice(0, 19)}Z`;
  const uuid = `uuid:${id.slice(0, 8)}-${id.slice(8, 12)}-${id.slice(12, 16)}-${id.slice(16, 20)}-${id.slice(20, 32)}`;
  return `<?xpacket begin="\u{FEFF}" id="W5M0MpCehiHzreSzNTczkc9d"?>
<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
<rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:xmpMM="http://ns.adobe.com/xap/1.0/mm/" xmlns:pdf="http://ns.adobe.com/pdf/1.3/" xmlns:pdfxid="http://www.npes.org/pdfx/ns/id/">
<dc:format>application/pdf</dc:format>
<dc:title><rdf:Alt><rdf:li xml:lang="x-default">${asXml(title)}</rdf:li></rdf:Alt></dc:title>
<xmp:CreateDate>${date}</xmp:CreateDate><xmp:ModifyDate>${date}</xmp:ModifyDate><xmp:MetadataDate>${date}</xmp:MetadataDate>
<xmp:CreatorTool>Bellagraph</xmp:CreatorTool>
<xmpMM:DocumentID>${uuid}</xmpMM:DocumentID><xmpMM:VersionID>1</xmpMM:VersionID><xmpMM:RenditionClass>default</xmpMM:RenditionClass>
<pdf:Producer>Bellagraph</pdf:Producer><pdf:Trapped>False</pdf:Trapped>
<pdfxid:GTS_PDFXVersion>PDF/X-4</pdfxid:GTS_PDFXVersion>
</rdf:Description></rdf:RDF></x:xmpmeta>
<?xpacket end="w"?>`;
}
