import { choice, number, YES_NO } from '../finding-kinds';
import { assumed, FLAT, through } from './about';

const DANGER = 'one-sided, it points at a warning sign: it decides whether to go on, not the kind of shoe';

const temperature = (label: string) =>
  number(label, 'degC', [18, 38], [5, 45], {
    scope: 'foot',
    step: 'feet',
    seconds: 20,
    carries: false,
    prior: FLAT,
    readBy: through('the difference between the feet'),
  });

/** Warmth and colour of the skin, side against side. */
export const WARMTH_FINDINGS = {
  skinWarmth: choice(
    'Warmth by hand, against the other foot',
    { cold: 'colder', same: 'the same', warm: 'warmer' },
    {
      scope: 'foot',
      step: 'feet',
      seconds: 20,
      carries: false,
      prior: assumed({ shares: { cold: 0.05, same: 0.9, warm: 0.05 } }),
      readBy: DANGER,
    },
  ),
  skinColour: choice(
    'Skin colour',
    { usual: 'usual', red: 'red', pale: 'pale', blue: 'blue or dusky' },
    {
      scope: 'foot',
      step: 'feet',
      seconds: 15,
      carries: false,
      prior: assumed({ shares: { usual: 0.9, red: 0.05, pale: 0.03, blue: 0.02 } }),
      readBy: DANGER,
    },
  ),
  heatFelt: choice('Feels hot to the patient', YES_NO, {
    scope: 'foot',
    step: 'feet',
    seconds: 15,
    carries: false,
    prior: assumed({ shares: { no: 0.95, yes: 0.05 } }),
    readBy: DANGER,
  }),
  temperatureBigToe: temperature('Temperature, big toe'),
  temperatureFirstHead: temperature('Temperature, first metatarsal head'),
  temperatureThirdHead: temperature('Temperature, third metatarsal head'),
  temperatureFifthHead: temperature('Temperature, fifth metatarsal head'),
  temperatureMidfoot: temperature('Temperature, midfoot'),
  temperatureHeel: temperature('Temperature, heel'),
} as const;

/** Places where the skin is measured on both feet. */
export const TEMPERATURE_SITES = [
  'temperatureBigToe',
  'temperatureFirstHead',
  'temperatureThirdHead',
  'temperatureFifthHead',
  'temperatureMidfoot',
  'temperatureHeel',
] as const satisfies readonly (keyof typeof WARMTH_FINDINGS)[];
