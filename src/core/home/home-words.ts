import { keysOf, mapTable } from '../tables/keys-of';
import type { SheetText, Speech } from '../texts/speech';

/** What stands on the page before anybody has said who they are: read by everybody who has the link. */
const DOOR = {
  title: 'home.title',
  ask: 'home.open.ask',
  day: 'home.open.day',
  month: 'home.open.month',
  year: 'home.open.year',
  agree: 'home.open.agree',
  open: 'home.open.open',
  opening: 'home.open.opening',
  wrong: 'home.open.wrong',
  gone: 'home.open.gone',
  busy: 'home.open.busy',
  offline: 'home.open.offline',
  noLink: 'home.open.no-link',
  noDate: 'home.open.no-date',
  mustAgree: 'home.open.must-agree',
  storedTitle: 'home.stored.title',
  storedSent: 'home.stored.sent',
  storedPhone: 'home.stored.phone',
  storedWho: 'home.stored.who',
  storedStop: 'home.stored.stop',
  unwatched: 'home.unwatched',
} as const satisfies Record<string, SheetText>;
export type DoorWord = keyof typeof DOOR;
export type DoorWords = Record<DoorWord, string>;
export const DOOR_WORDS = keysOf(DOOR);

/** Edition of what somebody agrees to on opening the page; a change of its sentences is a new one. */
export const AGREEMENT_EDITION = 1;

const INSIDE = {
  today: 'home.today',
  tell: 'home.tell',
  back: 'home.back',
  send: 'home.send',
  sent: 'home.sent',
  waiting: 'home.waiting',
  waitingWhy: 'home.waiting.why',
  refused: 'home.refused',
  closed: 'home.closed',
  asOf: 'home.as-of',
  wrongTitle: 'home.wrong.title',
  wrongAsk: 'home.wrong.ask',
  wrongSend: 'home.wrong.send',
  wrongSent: 'home.wrong.sent',
  wrongUnsent: 'home.wrong.unsent',
  wrongNight: 'home.wrong.night',
  wrongEmergency: 'home.wrong.emergency',
  signHot: 'home.sign.hot',
  signSwollen: 'home.sign.swollen',
  signNumb: 'home.sign.numb',
  signOpen: 'home.sign.open',
  signDark: 'home.sign.dark',
  signPain: 'home.sign.pain',
  signFall: 'home.sign.fall',
  outing: 'home.outing',
  feltFine: 'home.outing.fine',
  feltMild: 'home.outing.mild',
  feltSevere: 'home.outing.severe',
  gait: 'home.outing.gait',
  marks: 'home.outing.marks',
  useKm: 'home.use.km',
  useHours: 'home.use.hours',
  useDays: 'home.use.days',
  number: 'home.number',
  comfort: 'home.comfort',
  comfortLeast: 'home.comfort.least',
  comfortMost: 'home.comfort.most',
  pain: 'home.pain',
  painLeast: 'home.pain.least',
  painMost: 'home.pain.most',
  ache: 'home.ache',
  acheWhere: 'home.ache.where',
  pressOne: 'home.press-one',
  blister: 'home.blister',
  blisterWhere: 'home.blister.where',
  blisterOpen: 'home.blister.open',
  blisterFirst: 'home.blister.first',
  blisterNone: 'home.blister.none',
  picture: 'home.picture',
  pictureWear: 'home.picture.wear',
  pictureSkin: 'home.picture.skin',
  picturePrint: 'home.picture.print',
  pictureHow: 'home.picture.how',
  pictureBad: 'home.picture.bad',
  pictureTake: 'home.picture.take',
  printHow: 'home.print.how',
  socks: 'home.socks',
  girth: 'home.girth',
  girthAnkle: 'home.girth.ankle',
  girthCalf: 'home.girth.calf',
  girthEight: 'home.girth.eight',
  newPair: 'home.new-pair',
  newPairName: 'home.new-pair.name',
  left: 'shoe.left',
  right: 'shoe.right',
  leftFoot: 'home.foot.left',
  rightFoot: 'home.foot.right',
  noPair: 'home.no-pair',
  remove: 'home.remove',
  removed: 'home.removed',
  removeAsk: 'home.remove.ask',
  placeToeTips: 'home.place.toe-tips',
  placeBetweenToes: 'home.place.between-toes',
  placeKnuckles: 'home.place.knuckles',
  placeBall: 'home.place.ball',
  placeArch: 'home.place.arch',
  placeInstep: 'home.place.instep',
  placeHeelBack: 'home.place.heel-back',
  placeOuterEdge: 'home.place.outer-edge',
  placeInnerEdge: 'home.place.inner-edge',
  placeAnkle: 'home.place.ankle',
} as const satisfies Record<string, SheetText>;
export type InsideWord = keyof typeof INSIDE;
export type HomeWords = Record<InsideWord | DoorWord, string>;
export const INSIDE_WORDS = keysOf(INSIDE);

/** Values that the page fills in itself stay marked in its sentences. @example '{{left}}' */
const LEFT_OPEN = { left: '{{left}}', count: '{{count}}', when: '{{when}}' };

export const doorWords = ({ say }: Speech): DoorWords => mapTable(DOOR, (text) => say(text, LEFT_OPEN));
export const homeWords = (speech: Speech): HomeWords => ({
  ...doorWords(speech),
  ...mapTable(INSIDE, (text) => speech.say(text, LEFT_OPEN)),
});
