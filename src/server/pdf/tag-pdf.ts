import {
  decodePDFRawStream,
  PDFArray,
  PDFDocument,
  PDFName,
  type PDFPage,
  PDFRawStream,
  type PDFRef,
} from 'pdf-lib';
import { type TextRole, tagContent } from './tagged-content';

function contentOf(page: PDFPage): string {
  const { context } = page.doc;
  const contents = page.node.Contents();
  const streams =
    contents instanceof PDFArray ? contents.asArray().map((part) => context.lookup(part)) : [contents];
  return streams
    .flatMap((stream) =>
      stream instanceof PDFRawStream
        ? [Buffer.from(decodePDFRawStream(stream).decode()).toString('latin1')]
        : [],
    )
    .join('\n');
}

/**
 * A PDF whose headings and paragraphs are tagged (ISO 32000-1, 14.7), so that a screen reader can go from heading to heading.
 *
 * @param roleOf what a run in this size of type is, points
 */
export async function tagPdf(pdf: Buffer, roleOf: (sizePt: number) => TextRole): Promise<Buffer> {
  const file = await PDFDocument.load(pdf, { updateMetadata: false });
  const { context, catalog } = file;
  const root = context.nextRef();
  const document = context.nextRef();
  const elements: PDFRef[] = [];
  const parents = file.getPages().flatMap((page, number) => {
    const { content, texts } = tagContent(contentOf(page), roleOf);
    const stream = context.flateStream(Buffer.from(content, 'latin1'));
    page.node.set(PDFName.of('Contents'), context.register(stream));
    page.node.set(PDFName.of('StructParents'), context.obj(number));
    page.node.set(PDFName.of('Tabs'), PDFName.of('S'));
    const byMark: PDFRef[] = [];
    for (const { role, marks } of texts) {
      const element = context.register(
        context.obj({ Type: 'StructElem', S: role, P: document, Pg: page.ref, K: marks }),
      );
      elements.push(element);
      for (const mark of marks) byMark[mark] = element;
    }
    return [context.obj(number), context.register(context.obj(byMark))];
  });
  context.assign(document, context.obj({ Type: 'StructElem', S: 'Document', P: root, K: elements }));
  context.assign(
    root,
    context.obj({ Type: 'StructTreeRoot', K: [document], ParentTree: context.obj({ Nums: parents }) }),
  );
  catalog.set(PDFName.of('StructTreeRoot'), root);
  catalog.set(PDFName.of('MarkInfo'), context.obj({ Marked: true }));
  return Buffer.from(await file.save());
}
