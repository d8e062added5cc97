import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { inflateSync } from 'node:zlib';
import { Font as PdfFont } from '@react-pdf/renderer';
import fonteditor from 'fonteditor-core';
import { openSync } from 'fontkit';

const require = createRequire(import.meta.url);
const fileOf = (name: string) => require.resolve(`@fontsource/${name}.woff`);

/**
 * The faces that a page is written in, by script: one after the other is asked for a letter. All under the SIL Open Font Licence 1.1;
 * each package carries its licence.
 */
const SCRIPTS = {
  latin: 'ibm-plex-sans/files/ibm-plex-sans-latin',
  'latin-ext': 'ibm-plex-sans/files/ibm-plex-sans-latin-ext',
  vietnamese: 'ibm-plex-sans/files/ibm-plex-sans-vietnamese',
  greek: 'ibm-plex-sans/files/ibm-plex-sans-greek',
  cyrillic: 'ibm-plex-sans/files/ibm-plex-sans-cyrillic',
  'cyrillic-ext': 'ibm-plex-sans/files/ibm-plex-sans-cyrillic-ext',
  hebrew: 'ibm-plex-sans-hebrew/files/ibm-plex-sans-hebrew-hebrew',
  arabic: 'ibm-plex-sans-arabic/files/ibm-plex-sans-arabic-arabic',
} as const;
const DISPLAY = ['latin', 'latin-ext', 'vietnamese', 'greek', 'cyrillic', 'cyrillic-ext'] as const;

/** Families for running text and for headings, in the order in which they are asked. */
export const TEXT_FAMILY: string[] = Object.keys(SCRIPTS).map((script) => `text ${script}`);
export const DISPLAY_FAMILY: string[] = [...DISPLAY.map((script) => `display ${script}`), ...TEXT_FAMILY];

/** A face unpacked, as a data URL: of one that stays packed each table is unpacked again for every glyph, half of what a sheet takes. */
function unpacked(name: string): string {
  const packed = Uint8Array.from(readFileSync(fileOf(name)));
  const face = fonteditor.woff2ttf(packed.buffer, {
    inflate: (table) => [...inflateSync(Uint8Array.from(table))],
  });
  return `data:font/ttf;base64,${Buffer.from(face).toString('base64')}`;
}

let registered = false;
export function registerFaces(): void {
  if (registered) return;
  for (const [script, file] of Object.entries(SCRIPTS))
    PdfFont.register({
      family: `text ${script}`,
      fonts: [
        { src: unpacked(`${file}-400-normal`), fontWeight: 400 },
        { src: unpacked(`${file}-600-normal`), fontWeight: 600 },
      ],
    });
  for (const script of DISPLAY)
    PdfFont.register({
      family: `display ${script}`,
      fonts: [{ src: unpacked(`vollkorn/files/vollkorn-${script}-600-normal`), fontWeight: 600 }],
    });
  PdfFont.registerHyphenationCallback((word) => [word]);
  registered = true;
}

let faces: { hasGlyphForCodePoint: (codePoint: number) => boolean }[] | null = null;
const coverage = () => {
  faces ??= Object.values(SCRIPTS).flatMap((file) => {
    const face = openSync(fileOf(`${file}-400-normal`));
    return 'hasGlyphForCodePoint' in face ? [face] : [];
  });
  return faces;
};

/** Letters of a text that no face can draw, each once. Spaces and marks of direction draw nothing and are never missing. */
export function undrawable(text: string): string[] {
  const letters = new Set([...text.normalize('NFC')].filter((letter) => !/[\p{Z}\p{C}]/u.test(letter)));
  return [...letters].filter((letter) =>
    coverage().every((face) => !face.hasGlyphForCodePoint(letter.codePointAt(0)!)),
  );
}
