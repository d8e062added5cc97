import { fileURLToPath } from 'node:url';
import node from '@astrojs/node';
import preact from '@astrojs/preact';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { sharedChunks } from './scripts/lib/shared-chunks.mjs';

/** What opens first is small: these are Preact, which each of their files says in its first line. */
const SMALL = ['**/views/home/**', '**/views/today/**', '**/views/patient/start/**'];

/**
 * Says in an island's own code which library draws it: else every library is asked in turn, by drawing it, each time that a page
 * is made.
 */
const drawnBy = {
  name: 'drawn-by',
  enforce: 'pre',
  transform(code, id, { ssr = false } = {}) {
    if (!ssr || !/\/src\/(?:views|ui)\/.*\.tsx$/.test(id)) return null;
    const library = code.startsWith('/** @jsxImportSource preact */') ? '@astrojs/preact' : '@astrojs/react';
    const tags = [...code.matchAll(/^export function ([A-Z]\w*)/gm)].map(
      ([, name]) => `Object.assign(${name}, { [Symbol.for('astro:renderer')]: '${library}' });`,
    );
    return { code: [code, ...tags].join('\n'), map: null };
  },
};

export default defineConfig({
  output: 'server',
  // Whole pages: half a page never goes out before an error, and a page in pieces costs a twentieth more.
  adapter: node({ mode: 'middleware', experimentalDisableStreaming: true }),
  integrations: [react({ exclude: SMALL }), preact({ include: SMALL })],
  devToolbar: { enabled: false },
  // Every change checks its origin against SOVET_ORIGIN (endpoint.ts, sign-in, sign-out), JSON included; Astro's
  // own check knows only forms, and the host that a proxy shows it.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      // The one rule that react-aria adds at run time: touch-action of pressable elements.
      styleDirective: { hashes: ['sha256-38RhXrc7EdReTKsOm23ZPOCUgniTUUcjky8QOOrQx6o='] },
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "media-src 'self' blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
  vite: {
    plugins: [tailwindcss(), drawnBy, sharedChunks],
    // Read from hundreds of small files otherwise, at each start.
    ssr: { noExternal: ['date-fns', 'kysely', 'zod'] },
    // Stated here too: worker bundles do not read the paths of tsconfig.json.
    resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
    // Sizes are held by a test of what is sent.
    build: { assetsInlineLimit: 0, reportCompressedSize: false },
  },
});
