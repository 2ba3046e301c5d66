import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { unpackWoff } from './font';

interface PdfMake {
  readonly virtualfs: { writeFileSync(name: string, bytes: Buffer): void };
  setFonts(fonts: Record<string, Record<string, string>>): void;
  setUrlAccessPolicy(policy: (url: string) => boolean): void;
  setLocalAccessPolicy(policy: (file: string) => boolean): void;
  createPdf(definition: TDocumentDefinitions): { getBuffer(): Promise<Buffer> };
}

const FONTS = [
  ['text-400', 'atkinson-hyperlegible-next', 400],
  ['text-700', 'atkinson-hyperlegible-next', 700],
  ['mono-400', 'spline-sans-mono', 400],
  ['mono-600', 'spline-sans-mono', 600],
] as const;

let ready: PdfMake | undefined;

/** The PDF library with the application's own fonts, made ready once. */
export function pdfmake(): PdfMake {
  if (ready) return ready;
  const require = createRequire(path.join(process.cwd(), 'package.json'));
  const made = require('pdfmake') as PdfMake;
  for (const [name, family, weight] of FONTS) {
    const file = `node_modules/@fontsource/${family}/files/${family}-latin-${weight}-normal.woff`;
    made.virtualfs.writeFileSync(name, unpackWoff(readFileSync(path.join(process.cwd(), file))));
  }
  made.setFonts({
    Text: { normal: 'text-400', bold: 'text-700', italics: 'text-400', bolditalics: 'text-700' },
    Mono: { normal: 'mono-400', bold: 'mono-600' },
    // What is drawn asks for a font by the name it has in the document, where the title has opened both.
    Drawn: { normal: 'AtkinsonHyperlegibleNext-Regular', bold: 'AtkinsonHyperlegibleNext-Bold' },
  });
  // A report fetches nothing: its fonts are in memory, its data is in the document.
  made.setUrlAccessPolicy(() => false);
  made.setLocalAccessPolicy(() => false);
  ready = made;
  return made;
}
