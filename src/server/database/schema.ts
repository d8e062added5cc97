import type { ColumnType, Generated, GeneratedAlways, JSONColumnType } from 'kysely';
import type { Area, AuditAction, MailState, PersonState, TokenAccess } from '@/contract/people-schema';
import type { Role } from '@/contract/routes';
import type { PatientSheet } from '@/core/aftercare/patient-sheet';
import type { BreakInState, Felt } from '@/core/break-in/answers';
import type { BreakInInput } from '@/core/break-in/plan';
import type { BreakInSchool } from '@/core/break-in/schools';
import type { BoxLabel, ModelStatus, Stock } from '@/core/catalogue/model';
import type { ConsentKind, ConsentWay } from '@/core/contact/consent';
import type { ContactWay } from '@/core/contact/reach';
import type { SizingGroup } from '@/core/findings/findings';
import type { Findings } from '@/core/findings/picture';
import type { TryOn } from '@/core/fitting/try-on';
import type { Formats } from '@/core/formats/formats';
import type { StoredReport } from '@/core/home/report';
import type { HouseChange, HouseSettings } from '@/core/knowledge/house-rules';
import type { Rule } from '@/core/knowledge/rule';
import type { SchoolChoice } from '@/core/knowledge/schools';
import type { Modification } from '@/core/modification/modification';
import type { OrderEvent, OrderState } from '@/core/orders/order';
import type { Measures } from '@/core/outcomes/schema';
import type { PhotographKind, PictureScale, TiltLines } from '@/core/photograph/photograph-schema';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { SockChart } from '@/core/prosthesis/drawer';
import type { LimbRecord, TableCheck, TableDecision } from '@/core/prosthesis/limb-record';
import type { SockFeel, SockTag } from '@/core/prosthesis/sock-log';
import type { Activity } from '@/core/purpose/serves';
import type { ContactTry, RecallKindId } from '@/core/recall/kinds';
import type { Retention } from '@/core/retention/keep-until';
import type { ReviewDecision, StoredReview } from '@/core/review/review';
import type { BenchAnswers } from '@/core/shoe/bench/read-bench';
import type { FeatureValues } from '@/core/shoe/features';
import type { FeatureReadings } from '@/core/shoe/readings/readings';
import type { FittedFoot } from '@/core/sizing/learned/fit-evidence';
import type { ModelSizing } from '@/core/sizing/start-size';
import type { Choices, StepContents } from '@/core/visit/contents';
import type { SavedStep, StepState } from '@/core/visit/steps';
import type { BringIn } from '@/core/wear/bring-in';
import type { Quantiles, WearForecast } from '@/core/wear/forecast';
import type { VersionLife } from '@/core/wear/learned/learn-life';
import type { WearConditions, WearSurface } from '@/core/wear/learned/life-factors';
import type { LearnedCatalogue } from '@/core/wear/learned/observation';
import type { LifeSchool } from '@/core/wear/life-schools';
import type { RetiredBecause } from '@/core/wear/retired';
import type { Assignment, Session } from '@/core/wear/rotation/week';
import type { InspectionContent } from '@/core/wear/worn-schema';

/** Rows as Kysely sees them; `clinic_id` is on every one. Dates are ISO strings, times are Date. */
export interface Database {
  clinic: {
    clinic_id: Generated<string>;
    name: string;
    place: string;
    school: Generated<SchoolChoice>;
    life_school: Generated<LifeSchool>;
    bring_in: Generated<BringIn>;
    phone: Generated<string>;
    break_in_school: Generated<BreakInSchool>;
    formats: JSONColumnType<Partial<Formats>, string | undefined, string>;
    second_factor_required: Generated<boolean>;
    retention: JSONColumnType<Retention, string | undefined, string>;
    quiet_from: Generated<number>;
    quiet_to: Generated<number>;
    digest: Generated<boolean>;
    digest_on: Generated<string | null>;
  };
  'auth.user': {
    id: string;
    clinic_id: string;
    name: string;
    email: string;
    role: Role;
    standing: PersonState;
    lastSignInAt: Date | null;
    twoFactorEnabled: Generated<boolean>;
    /** The address that this clinic writes to. */
    contact_email: Generated<string>;
    /** The account that signs in for this seat, where it is not its own. */
    person_of: Generated<string | null>;
    site_id: Generated<string | null>;
    createdAt: Generated<Date>;
    updatedAt: Generated<Date>;
  };
  'auth.session': {
    id: string;
    clinic_id: string;
    userId: string;
    /** Where it is not the seat of its own account. */
    seat: string | null;
    createdAt: Date;
    updatedAt: Date;
    expiresAt: Date;
    userAgent: string | null;
  };
  'auth.twoFactor': { userId: string; clinic_id: string };
  'auth.password_link': {
    hash: string;
    clinic_id: string;
    user_id: string;
    kind: 'invitation' | 'reset';
    expires_at: Date;
    used_at: Date | null;
    tries: Generated<number>;
  };
  site: {
    clinic_id: string;
    id: Generated<string>;
    name: string;
    place: string;
    closed: Generated<boolean>;
  };
  consent: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    kind: ConsentKind;
    how: ConsentWay;
    given_on: string;
    note: Generated<string>;
    recorded_by: string;
    recorded_at: Generated<Date>;
    withdrawn_on: string | null;
    withdrawn_by: string | null;
  };
  merge: {
    clinic_id: string;
    id: string;
    kept: string;
    folded: string;
    folded_name: string;
    /** Rows that moved, by table. */
    moved: JSONColumnType<Readonly<Record<string, readonly string[]>>>;
    by_user: string;
    at: Date;
    undone_at: Date | null;
  };
  erasure: { clinic_id: string; patient_id: string; reason: string; by_user: string; at: Generated<Date> };
  audit_seal: {
    clinic_id: string;
    n: number;
    from_id: string;
    to_id: string;
    entries: number;
    digest: string;
    sealed_at: Generated<Date>;
  };
  mail: {
    clinic_id: string;
    id: Generated<string>;
    recipient: string;
    subject: string;
    body: string;
    state: Generated<MailState>;
    tries: Generated<number>;
    problem: string | null;
    written_at: Generated<Date>;
    next_try_at: Generated<Date>;
    sent_at: Date | null;
  };
  patient: {
    clinic_id: string;
    id: Generated<string>;
    given_name: string;
    family_name: string;
    born_on: string;
    sizing_group: SizingGroup;
    height_mm: number | null;
    occupation: Generated<string>;
    school: SchoolChoice | null;
    created_at: Generated<Date>;
    erased: Generated<boolean>;
    phone: Generated<string>;
    email: Generated<string>;
    address: Generated<string>;
    contact_by: Generated<ContactWay>;
    language: Generated<string>;
    archived_at: Date | null;
    site_id: Generated<string | null>;
    risk_check_months: Generated<number | null>;
    risk_check_on: Generated<string | null>;
  };
  visit: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    started_by: string;
    started_at: Generated<Date>;
    closed_at: Date | null;
    closed_because: string | null;
    site_id: Generated<string | null>;
  };
  visit_step: {
    clinic_id: string;
    visit_id: string;
    step: SavedStep;
    state: Exclude<StepState, 'untouched'>;
    revision: number;
    content: JSONColumnType<object, string, string>;
    saved_by: string;
    saved_at: Generated<Date>;
  };
  visit_time: { clinic_id: string; visit_id: string; step: SavedStep; seconds: Generated<number> };
  visit_presence: {
    clinic_id: string;
    visit_id: string;
    user_id: string;
    step: SavedStep;
    seen_at: Generated<Date>;
  };
  shoe_model: {
    clinic_id: string;
    id: Generated<string>;
    maker: string;
    name: string;
    version: string;
    features: JSONColumnType<FeatureValues>;
    sizing: JSONColumnType<ModelSizing>;
    readings: JSONColumnType<FeatureReadings, string | undefined, string>;
    stock: JSONColumnType<Stock, string | undefined, string>;
    boxes: JSONColumnType<BoxLabel, string | undefined, string>;
    price: number | null;
    status: Generated<ModelStatus>;
    replaces: string | null;
    updated_at: Generated<Date>;
    /** What the model holds, as a number that the database makes of it. */
    digest: GeneratedAlways<string>;
  };
  catalogue_change: {
    clinic_id: string;
    id: Generated<string>;
    model_id: string | null;
    kind: 'import' | 'supplier' | 'bench';
    what: string;
    made_by: string;
    made_at: Generated<Date>;
  };
  bench_test: {
    clinic_id: string;
    id: Generated<string>;
    model_id: string;
    answers: JSONColumnType<BenchAnswers>;
    done_by: string;
    done_at: Generated<Date>;
  };
  fitting: {
    clinic_id: string;
    visit_id: string;
    model_id: string;
    feet: JSONColumnType<readonly FittedFoot[]>;
    /** Which pair of its visit it was, from 1. */
    nth: number | null;
    /** How comfortable it was found, 0–100, and what was guessed before anybody rated it. */
    comfort: number | null;
    guess: number | null;
    fitted_at: Generated<Date>;
  };
  shoe_order: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    visit_id: string;
    specification_id: string;
    model_id: string;
    size_left: string;
    size_right: string;
    modifications: JSONColumnType<readonly Modification[]>;
    try_on: JSONColumnType<TryOn>;
    start: JSONColumnType<StepContents['hand-over']>;
    state: Generated<OrderState>;
    came_version: string | null;
    return_days: number;
    expected_on: string | null;
    arrived_on: string | null;
    created_by: string;
    created_at: Generated<Date>;
  };
  order_event: {
    clinic_id: string;
    id: Generated<string>;
    order_id: string;
    event: OrderEvent | 'created';
    note: Generated<string>;
    made_by: string;
    made_at: Generated<Date>;
  };
  supplier_item: {
    clinic_id: string;
    item_id: string;
    answer: 'taken' | 'ignored';
    answered_by: string;
    answered_at: Generated<Date>;
  };
  specification: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    visit_id: string;
    picture: JSONColumnType<Findings>;
    choices: JSONColumnType<Choices>;
    result: JSONColumnType<Specification>;
    house_version: Generated<number>;
    /** What the pair is for, where the visit asked for several. */
    purpose: Activity | null;
    /** Read out of the result by the database itself. */
    school: ColumnType<SchoolChoice | null, never, never>;
    spoke: ColumnType<readonly string[], never, never>;
    overruled: ColumnType<readonly string[], never, never>;
    issued_by: string;
    issued_at: Generated<Date>;
  };
  house_rules: {
    clinic_id: string;
    version: number;
    changes: JSONColumnType<readonly HouseChange[]>;
    settings: JSONColumnType<HouseSettings>;
    note: string;
    made_by: string;
    made_at: Generated<Date>;
  };
  knowledge_edition: {
    clinic_id: string;
    edition: string;
    rules: JSONColumnType<readonly Rule[]>;
    first_used_at: Generated<Date>;
  };
  pair: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    model_id: string;
    size_left: string;
    size_right: string;
    started_on: string;
    ended_on: string | null;
    surface: WearSurface | null;
    expected_weekly_km: number | null;
    body_mass_kg: number | null;
    racing: Generated<boolean>;
    /** In the unit of its clock, where that is not kilometres. */
    weekly_use: number | null;
    made_on: string | null;
    ended_because: RetiredBecause | null;
    batch: string | null;
    conditions: JSONColumnType<
      Pick<WearConditions, 'hills' | 'landing' | 'heat'>,
      string | undefined,
      string
    >;
    /** What the plan of the week gives it, in the unit of its clock. */
    planned_weekly: number | null;
    raced_only: Generated<boolean>;
    forecast: JSONColumnType<WearForecast> | null;
    /** Day for which it was worked out. */
    forecast_on: string | null;
    start_next_on: string | null;
    window_from: string | null;
    window_middle: string | null;
    window_to: string | null;
    break_in: JSONColumnType<BreakInInput> | null;
    return_by: Generated<string | null>;
    outcomes_due_on: Generated<string | null>;
    review_on: Generated<string | null>;
    answers_due_on: Generated<string | null>;
    answers_until: Generated<string | null>;
    break_in_state: BreakInState | null;
    /** A review stopped it until another lets it go on. */
    stopped_on: string | null;
    modifications: JSONColumnType<readonly Modification[], string | undefined, string>;
    /** The life that was foretold when it began, in the unit of its clock. */
    first_life: JSONColumnType<Quantiles> | null;
  };
  review: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string;
    done_on: string;
    decision: ReviewDecision;
    content: JSONColumnType<StoredReview>;
    made_by: string;
    made_at: Generated<Date>;
  };
  outing_answer: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string;
    answered_on: string;
    felt: Felt;
    gait_changed: Generated<boolean>;
    marks: Generated<boolean>;
    note: Generated<string>;
    seen: Generated<boolean>;
    made_by: string;
    made_at: Generated<Date>;
  };
  outcome: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string;
    taken_on: string;
    measures: JSONColumnType<Measures, string, string>;
    alarm: Generated<boolean>;
    made_by: string;
    made_at: Generated<Date>;
  };
  house_text: {
    clinic_id: string;
    language: string;
    key: string;
    text: string;
    changed_by: string;
    changed_at: Generated<Date>;
  };
  hand_over: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    visit_id: string;
    specification_id: string;
    pair_id: string;
    sheet: JSONColumnType<PatientSheet>;
    handed_over_by: string;
    handed_over_at: Generated<Date>;
    review_on: string;
  };
  pair_log: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string;
    logged_on: string;
    distance_km: number | null;
    /** In the unit of the pair's clock, where that is not kilometres. */
    amount: number | null;
    comfort: number | null;
    note: Generated<string>;
    logged_by: string;
    logged_at: Generated<Date>;
  };
  inspection: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string;
    inspected_on: string;
    content: JSONColumnType<InspectionContent>;
    made_by: string;
    made_at: Generated<Date>;
  };
  photograph: {
    clinic_id: string;
    id: Generated<string>;
    pair_id: string | null;
    visit_id: string | null;
    brought: string | null;
    kind: PhotographKind;
    taken_on: string;
    width: number;
    height: number;
    image: Buffer;
    thumbnail: Buffer;
    lines: JSONColumnType<TiltLines> | null;
    scale: JSONColumnType<PictureScale> | null;
    made_by: string;
    made_at: Generated<Date>;
  };
  week_plan: {
    clinic_id: string;
    patient_id: string;
    sessions: JSONColumnType<readonly Session[]>;
    settled: JSONColumnType<Assignment>;
    saved_by: string;
    saved_at: Generated<Date>;
  };
  contact_try: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    kind: RecallKindId;
    about_on: string;
    way: ContactTry;
    note: string;
    snoozed_until: string | null;
    made_by: string;
    made_at: Generated<Date>;
  };
  track_outing: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    pair_id: string;
    began_at: Date;
    ended_at: Date;
    done_on: string;
    km: number;
    ascent_m: number | null;
    cadence: number | null;
    surface: 'road' | 'trail';
    source: string;
    made_by: string;
    made_at: Generated<Date>;
  };
  home_link: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    hash: string;
    tries: Generated<number>;
    made_by: string;
    made_at: Generated<Date>;
    expires_at: Date;
    revoked_at: Date | null;
  };
  home_phone: {
    clinic_id: string;
    id: Generated<string>;
    link_id: string;
    hash: string;
    agreed_to: number;
    opened_at: Generated<Date>;
    seen_at: Generated<Date>;
  };
  home_report: {
    clinic_id: string;
    id: string;
    patient_id: string;
    pair_id: string | null;
    link_id: string;
    said_on: string;
    content: JSONColumnType<StoredReport>;
    image: Buffer | null;
    /** The still pictures of a film, in order. */
    frames: Buffer[] | null;
    is_warning: boolean;
    aside: string | null;
    received_at: Generated<Date>;
    seen_at: Date | null;
    seen_by: string | null;
    found: Generated<string>;
  };
  limb: {
    clinic_id: string;
    patient_id: string;
    content: JSONColumnType<LimbRecord>;
    revision: Generated<number>;
    changed_by: string;
    changed_at: Generated<Date>;
  };
  sock_entry: {
    clinic_id: string;
    patient_id: string;
    /** Local moment, as the wearer lived it. */
    at: string;
    ply: number;
    feel: SockFeel | null;
    tags: SockTag[];
    /** Null: said from home. */
    made_by: string | null;
    made_at: Generated<Date>;
  };
  sock_chart: {
    clinic_id: string;
    maker: string;
    colours: JSONColumnType<SockChart['colours']>;
  };
  table_check: {
    clinic_id: string;
    id: Generated<string>;
    patient_id: string;
    model_id: string;
    checked_on: string;
    decision: TableDecision;
    content: JSONColumnType<Omit<TableCheck, 'model' | 'on' | 'decision'>>;
    made_by: string;
    made_at: Generated<Date>;
  };
  clinic_life: {
    clinic_id: string;
    school: LifeSchool;
    content: JSONColumnType<Omit<LearnedCatalogue, 'lives'>>;
    learned_at: Generated<Date>;
    stale: Generated<boolean>;
  };
  model_life: {
    clinic_id: string;
    model_id: string;
    content: JSONColumnType<VersionLife>;
  };
  access_token: {
    clinic_id: string;
    id: Generated<string>;
    user_id: string;
    name: string;
    hash: string;
    created_at: Generated<Date>;
    last_used_at: Date | null;
    expires_at: Date;
    access: TokenAccess;
    /** Null: every area. */
    areas: readonly Area[] | null;
  };
  audit_entry: {
    clinic_id: string;
    id: Generated<string>;
    at: Generated<Date>;
    user_id: string;
    /** The name at that moment. */
    who: string | null;
    patient_id: string | null;
    action: AuditAction;
    digest: Generated<string>;
    what: string;
  };
}
