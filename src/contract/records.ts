import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import type { InjuryMark } from '@/core/body-map/mark';
import type { BreakInInput } from '@/core/break-in/plan';
import type { BreakInSchool } from '@/core/break-in/schools';
import type { CatalogueReport } from '@/core/catalogue/catalogue-entry';
import type { ShoeModel } from '@/core/catalogue/model';
import type { ContactDetails } from '@/core/contact/reach';
import type { SizingGroup } from '@/core/findings/findings';
import type { Findings } from '@/core/findings/picture';
import type { FeltBefore } from '@/core/fitting/next-guess';
import type { Formats } from '@/core/formats/formats';
import type { HouseRules } from '@/core/knowledge/house-rules';
import type { SchoolChoice } from '@/core/knowledge/schools';
import type { Modification } from '@/core/modification/modification';
import type { OrderEvent, OrderState } from '@/core/orders/order';
import type { ChangeReading } from '@/core/outcomes/real-change';
import type { PhotographKind, PictureScale, TiltLines } from '@/core/photograph/photograph-schema';
import type { PictureChange } from '@/core/prescribe/counterfactual/preview';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { LimbRecord } from '@/core/prosthesis/limb-record';
import type { ContactTry, RecallKindId } from '@/core/recall/kinds';
import type { Retention } from '@/core/retention/keep-until';
import type { BenchAnswers } from '@/core/shoe/bench/read-bench';
import type { FeatureReadings } from '@/core/shoe/readings/readings';
import type { SignStrengths } from '@/core/signs/signs';
import type { SwellingReading } from '@/core/swelling/course';
import type { Choices, StepRecord } from '@/core/visit/contents';
import type { IssuedPair } from '@/core/visit/examined';
import type { SavedStep, StepStates } from '@/core/visit/steps';
import type { BringIn } from '@/core/wear/bring-in';
import type { WearForecast } from '@/core/wear/forecast';
import type { WearConditions, WearSurface } from '@/core/wear/learned/life-factors';
import type { LifeSchool } from '@/core/wear/life-schools';
import type { RetiredBecause } from '@/core/wear/retired';
import type { SchoolLife } from '@/core/wear/schools-beside';
import type { InspectionContent } from '@/core/wear/worn-schema';
import type { OutcomeRecord } from './answers/outcomes';
import type { ConsentRecord } from './patients-schema';
import type { Area, AuditAction, TokenAccess } from './people-schema';
import type { Role } from './routes';

/** Records as the API answers them. Days are ISO dates, moments ISO times. */

export interface ClinicRecord {
  id: string;
  name: string;
  place: string;
  school: SchoolChoice;
  lifeSchool: LifeSchool;
  bringIn: BringIn;
  /** What the patients' sheets name; empty where it was not stated. */
  phone: string;
  breakInSchool: BreakInSchool;
  formats: Formats;
  secondFactorRequired: boolean;
  retention: Retention;
  /** Hours of the day between which no letter to a patient goes out. */
  quietFrom: number;
  quietTo: number;
  /** Whether the leads get a letter each week. */
  digest: boolean;
}

/** One version of a clinic's house rules. */
export interface HouseRulesVersion extends HouseRules {
  note: string;
  madeBy: string;
  madeAt: string;
}

/** How often a rule has pushed an issued specification in this clinic, and how often a person overruled it. */
export interface RuleUse {
  rule: string;
  fired: number;
  overruled: number;
}

/** A specification as issued, found again. */
export interface IssuedRecord {
  id: string;
  visitId: string;
  patient: { id: string; name: string };
  issuedAt: string;
  issuedBy: string;
  findings: Findings;
  choices: Choices;
  specification: Specification;
}

/** An issued specification beside what the rules of its edition, and those of today, make of the same picture. */
export interface ReplayRecord extends IssuedRecord {
  /** null: the rules of its edition were not kept. */
  alike: boolean | null;
  today: { edition: string; specification: Specification; changes: PictureChange | null };
}

/** What a preview of house rules says while it works and at the end, a line each. */
export type PreviewLine =
  | { done: number; of: number }
  | {
      change: { specificationId: string; visitId: string; patient: string; issuedAt: string } & PictureChange;
    }
  | { finished: { looked: number; changed: number } };

export interface PatientSummary {
  id: string;
  givenName: string;
  familyName: string;
  bornOn: string;
  age: number;
  sizingGroup: SizingGroup;
  occupation: string;
}

/** One model with all that is said of it, and of its family. */
export interface ModelRecord {
  model: ShoeModel;
  readings: FeatureReadings;
  /** All versions of the same maker and name, this one among them. */
  versions: ShoeModel[];
  /** Who wears one of its versions now. */
  wearers: { patientId: string; name: string; since: string; modelId: string }[];
  benchTests: { id: string; answers: BenchAnswers; by: string; at: string }[];
  changes: { what: string; by: string; at: string }[];
}

/** What an import says while it works and at the end, a line each. */
export type ImportLine =
  | { rows: number }
  | {
      finished: CatalogueReport & {
        /** Whether the catalogue was changed: never with an error, never on a dry run. */
        imported: boolean;
        added: number;
        changed: number;
      };
    };

/** One announcement of the supplier that nobody has answered. */
export interface SupplierAnnouncement {
  id: string;
  kind: 'new-version' | 'discontinued' | 'price' | 'stock';
  on: string;
  title: string;
  what: string;
  /** People who wear the model now. */
  wearers: number;
}

export interface OrderRecord {
  id: string;
  patient: { id: string; name: string };
  visitId: string;
  specificationId: string;
  model: ShoeModel;
  sizeLeft: string;
  sizeRight: string;
  modifications: Modification[];
  state: OrderState;
  /** Another version came than was tried: it is tried on again before it is collected. */
  cameVersion: string | null;
  expectedOn: string | null;
  /** Expected before today and not there. */
  late: boolean;
  arrivedOn: string | null;
  /** Last day on which it can be sent back, and days left until then; null before it has arrived. */
  returnBy: string | null;
  daysToReturn: number | null;
  createdAt: string;
  events: { event: OrderEvent | 'created'; note: string; by: string; at: string }[];
}

export interface PairLogEntry {
  id: string;
  on: string;
  distanceKm: number | null;
  /** In the unit of the pair's clock, where that is not kilometres. */
  amount: number | null;
  comfort: number | null;
  note: string;
}

/** What an inspection of a pair saw. */
export interface InspectionRecord {
  id: string;
  on: string;
  content: InspectionContent;
  by: string;
  /** How much the pair was used by then, in the unit of its clock. */
  used: number;
}

export interface PairRecord {
  id: string;
  model: ShoeModel;
  sizeLeft: string;
  sizeRight: string;
  startedOn: string;
  endedOn: string | null;
  endedBecause: RetiredBecause | null;
  madeOn: string | null;
  surface: WearSurface | null;
  conditions: Pick<WearConditions, 'hills' | 'landing' | 'heat'>;
  batch: string | null;
  log: PairLogEntry[];
  forecast: WearForecast;
  /** Calendar days of the replacement window; null where nothing can be said. */
  window: { from: string; middle: string; to: string; startNextOn: string } | null;
  comfort: { baseline: number; now: number; reading: ChangeReading } | null;
  modifications: Modification[];
  /** Oldest first. */
  inspections: InspectionRecord[];
  /** What every school says of it; empty where none states a life for its use. */
  schools: SchoolLife[];
  /** A later version of the same model, and how it differs: another shoe. */
  successor: { id: string; title: string; differs: string[] } | null;
}

/** One pair with whose it is, and the pairs of the same model that came before it. */
export interface PhotographRecord {
  id: string;
  kind: PhotographKind;
  takenOn: string;
  width: number;
  height: number;
  lines: TiltLines | null;
  scale: PictureScale | null;
}

export interface PairPage {
  pair: PairRecord;
  patient: { id: string; name: string };
  /** How strongly the clinic takes each sign; absent: as they stand. */
  strengths?: SignStrengths | undefined;
  /** Newest first. */
  forerunners: PairRecord[];
  /** Oldest first; the pictures are files of their own. */
  photographs: PhotographRecord[];
  /** What its break-in is made of, with the answers of its outings; null where none was planned. */
  breakIn: BreakInInput | null;
  outcomes: OutcomeRecord;
}

export interface VisitSummary {
  id: string;
  startedAt: string;
  closedAt: string | null;
  closedBecause: string | null;
  startedBy: string;
  /** Each pair that the visit handed over, in the order of the hand-overs. */
  handedOver: HandedOver[];
}

export interface HandedOver {
  specificationId: string;
  pairId: string;
  /** As its sheet names it. */
  shoe: string;
  reviewOn: string;
}

export interface PatientRecord extends PatientSummary, ContactDetails {
  heightMm: number | null;
  school: SchoolChoice | null;
  pairs: PairRecord[];
  visits: VisitSummary[];
  orders: OrderRecord[];
  /** In which their sheets are written. */
  language: string;
  archived: boolean;
  consents: ConsentRecord[];
}

export interface VisitRecord {
  id: string;
  startedAt: string;
  closedAt: string | null;
  /** Why nothing was handed over, where a visit ended that way. */
  closedBecause: string | null;
  patient: PatientSummary & { heightMm: number | null; school: SchoolChoice | null };
  clinic: ClinicRecord;
  /** The clinic's departures from the shipped knowledge: those of today, or of the day of issue. */
  house: HouseRules;
  /** What was issued at this visit, one for each pair; it is shown as it was, whatever the rules are today. */
  issued: IssuedPairRecord[];
  /** What still holds from an earlier visit, and when that was. */
  /** Girths that were taken at home, oldest first; unverified. */
  girthsFromHome: SwellingReading[];
  /** The record of the prosthetic side. */
  limb: LimbRecord | null;
  carried: { findings: Findings; injuries: InjuryMark[]; from: string } | null;
  /** What earlier visits measured, oldest first. */
  earlier: EarlierVisit[];
  /** What was felt in pairs at earlier visits, the latest first. */
  feltBefore: FeltBefore[];
  steps: StepRecord[];
  /** Who is looking, for the observer of what is taken now. */
  reader: string;
  /** What the reader is here: an assistant measures and answers no warning sign. */
  readerRole: Role;
}

/** What was issued for one pair, and how the pair went out: with its sheet, or as an order. */
export interface IssuedPairRecord extends IssuedPair {
  id: string;
  sheet: PatientSheet | null;
  order: OrderRecord | null;
}

/** Numbers of an earlier visit, for comparison. */
export interface EarlierVisit {
  on: string;
  findings: Findings;
  swelling: SwellingReading[];
}

export interface PresenceAnswer {
  others: { name: string; step: SavedStep; seenAt: string }[];
  revisions: Partial<Record<SavedStep, number>>;
}

/** Somebody who needs something. */
export interface RecallItem {
  kind: RecallKindId;
  patient: { id: string; name: string; age: number };
  /** How to reach them, or why not to; null where they are in the room. */
  reach: string | null;
  /** What it is about, in words. */
  what: string;
  on: string;
  /** The pair, order, visit or report that it is about; null where it is about the person. */
  aboutId: string | null;
  /** What was begun of a visit that is open; null of anything else. */
  steps: StepStates | null;
  /** What was tried last, about this. */
  tried: { way: ContactTry; at: string; by: string } | null;
}

export interface TokenRecord {
  id: string;
  name: string;
  createdAt: string;
  lastUsedAt: string | null;
  expiresAt: string;
  access: TokenAccess;
  /** Null: every area. */
  areas: readonly Area[] | null;
}

export interface AuditRecord {
  at: string;
  who: string;
  action: AuditAction;
  what: string;
}
