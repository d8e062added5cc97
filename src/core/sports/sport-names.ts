/** Sports whose movement differs from running straight ahead, as a finding's and a feature's options. */
export const SPORT_NAMES = {
  tennis: 'tennis',
  padel: 'padel',
  'paddle-court': 'paddle and light ball',
  basketball: 'basketball',
  netball: 'netball',
  'small-sided-football': 'football, small pitch',
  'field-hockey': 'hockey, artificial turf',
  badminton: 'badminton',
  squash: 'squash',
  'table-tennis': 'table tennis',
  volleyball: 'volleyball',
  handball: 'handball',
  futsal: 'football, indoors',
  floorball: 'floorball',
  fencing: 'fencing',
  aerobics: 'aerobics, step',
  circuit: 'circuit training',
  skipping: 'rope skipping',
  boxing: 'boxing footwork',
  'dance-fitness': 'dance fitness',
  obstacles: 'obstacle courses',
  'hill-running': 'hill and fell running',
  orienteering: 'orienteering',
} as const;

export type SportId = keyof typeof SPORT_NAMES;
