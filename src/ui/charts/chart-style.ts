import { Chart } from 'chart.js';

// A chart is drawn in the type of the page; in the browser alone, where there is one.
if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily;

export { colourOf } from '../colour-of';
