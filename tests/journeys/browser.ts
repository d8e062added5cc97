import { chromiumPath } from '../../scripts/lib/packages.mjs';

/** Debian’s Chromium: `npm test` has installed it. */
export const executablePath = chromiumPath() ?? 'chromium';

/** With nothing that looks for a network or a graphics card. */
const QUIET = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const PLAIN = [...QUIET, '--disable-gpu'];

/** Draws three dimensions by software: slower, so only where a scan is looked at. */
export const SOFTWARE_3D = [
  ...QUIET,
  '--use-gl=angle',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
  // Only what is drawn in three dimensions: the page around it as everywhere else.
  '--disable-gpu-compositing',
  '--disable-gpu-rasterization',
];
