export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

export interface Route {
  method: Method;
  /** Below /api/v1, with {names} of path parameters. */
  path: string;
  /** Who may call it. */
  roles: readonly Role[];
}

export type Role = 'lead' | 'practitioner' | 'assistant';

/** Everybody who is signed in. */
export const EVERYONE = ['lead', 'practitioner', 'assistant'] as const satisfies readonly Role[];
/** Who may issue, and change what is issued. */
export const CLINICIANS = ['lead', 'practitioner'] as const satisfies readonly Role[];
const LEAD = ['lead'] as const satisfies readonly Role[];

/** Method, path and roles of every operation, apart from their schemas: the browser calls by these alone. */
export const ROUTES = {
  footprintScanner: { method: 'GET', path: '/devices/footprint-scanner', roles: EVERYONE },
  pressurePlate: { method: 'GET', path: '/devices/pressure-plate', roles: EVERYONE },
  footScanner: { method: 'GET', path: '/devices/foot-scanner', roles: EVERYONE },
  gaitCamera: { method: 'GET', path: '/devices/gait-camera', roles: EVERYONE },
  kneeCamera: { method: 'GET', path: '/devices/knee-camera', roles: EVERYONE },
  shoeCamera: { method: 'GET', path: '/devices/shoe-camera', roles: EVERYONE },
  specification: { method: 'POST', path: '/calculations/specification', roles: EVERYONE },
  comparison: { method: 'POST', path: '/calculations/comparison', roles: EVERYONE },
  nextQuestions: { method: 'POST', path: '/calculations/next-questions', roles: EVERYONE },
  reliance: { method: 'POST', path: '/calculations/reliance', roles: EVERYONE },
  whatIf: { method: 'POST', path: '/calculations/what-if', roles: EVERYONE },
  sizes: { method: 'POST', path: '/calculations/sizes', roles: EVERYONE },
  socks: { method: 'POST', path: '/calculations/socks', roles: EVERYONE },
  alignment: { method: 'POST', path: '/calculations/alignment', roles: EVERYONE },
  wear: { method: 'POST', path: '/calculations/wear', roles: EVERYONE },
  knowledge: { method: 'GET', path: '/knowledge', roles: EVERYONE },
  houseRules: { method: 'GET', path: '/knowledge/house-rules', roles: EVERYONE },
  saveHouseRules: { method: 'POST', path: '/knowledge/house-rules', roles: LEAD },
  previewHouseRules: { method: 'POST', path: '/knowledge/house-rules/preview', roles: CLINICIANS },
  replay: { method: 'GET', path: '/specifications/{id}/replay', roles: EVERYONE },
  models: { method: 'GET', path: '/models', roles: EVERYONE },
  model: { method: 'GET', path: '/models/{id}', roles: EVERYONE },
  modelLife: { method: 'GET', path: '/models/{id}/life', roles: EVERYONE },
  changeModel: { method: 'PATCH', path: '/models/{id}', roles: EVERYONE },
  benchTest: { method: 'POST', path: '/models/{id}/bench-tests', roles: EVERYONE },
  exportCatalogue: { method: 'GET', path: '/catalogue', roles: EVERYONE },
  importCatalogue: { method: 'POST', path: '/catalogue', roles: CLINICIANS },
  supplierFeed: { method: 'GET', path: '/supplier/feed', roles: EVERYONE },
  answerSupplier: { method: 'POST', path: '/supplier/feed', roles: CLINICIANS },
  candidates: { method: 'POST', path: '/calculations/candidates', roles: EVERYONE },
  moreLike: { method: 'POST', path: '/calculations/more-like', roles: EVERYONE },
  fitAdvice: { method: 'POST', path: '/calculations/fit-advice', roles: EVERYONE },
  orderPair: { method: 'POST', path: '/visits/{id}/order', roles: CLINICIANS },
  orders: { method: 'GET', path: '/orders', roles: EVERYONE },
  orderEvent: { method: 'POST', path: '/orders/{id}/events', roles: EVERYONE },
  today: { method: 'GET', path: '/today', roles: EVERYONE },
  contactsCalendar: { method: 'GET', path: '/contacts.ics', roles: EVERYONE },
  findPatients: { method: 'GET', path: '/patients', roles: EVERYONE },
  addPatient: { method: 'POST', path: '/patients', roles: EVERYONE },
  patient: { method: 'GET', path: '/patients/{id}', roles: EVERYONE },
  changePatient: { method: 'PATCH', path: '/patients/{id}', roles: EVERYONE },
  exportPatient: { method: 'GET', path: '/patients/{id}/export', roles: CLINICIANS },
  erasePatient: { method: 'POST', path: '/patients/{id}/erase', roles: LEAD },
  consents: { method: 'GET', path: '/patients/{id}/consents', roles: EVERYONE },
  addConsent: { method: 'POST', path: '/patients/{id}/consents', roles: EVERYONE },
  withdrawConsent: { method: 'POST', path: '/consents/{id}/withdraw', roles: EVERYONE },
  duplicates: { method: 'GET', path: '/duplicates', roles: CLINICIANS },
  mergePatients: { method: 'POST', path: '/patients/{id}/merge', roles: CLINICIANS },
  undoMerge: { method: 'POST', path: '/merges/{id}/undo', roles: CLINICIANS },
  previewRetention: { method: 'POST', path: '/retention/preview', roles: LEAD },
  erasePast: { method: 'POST', path: '/retention/erase', roles: LEAD },
  closedPatients: { method: 'GET', path: '/retention/closed', roles: LEAD },
  reopenPatient: { method: 'POST', path: '/patients/{id}/reopen', roles: LEAD },
  timeLine: { method: 'GET', path: '/patients/{id}/time-line', roles: EVERYONE },
  week: { method: 'GET', path: '/patients/{id}/week', roles: EVERYONE },
  saveWeek: { method: 'PUT', path: '/patients/{id}/week', roles: EVERYONE },
  startVisit: { method: 'POST', path: '/patients/{id}/visits', roles: EVERYONE },
  visit: { method: 'GET', path: '/visits/{id}', roles: EVERYONE },
  saveStep: { method: 'PUT', path: '/visits/{id}/steps/{step}', roles: EVERYONE },
  presence: { method: 'POST', path: '/visits/{id}/presence', roles: EVERYONE },
  previewBreakIn: { method: 'POST', path: '/visits/{id}/break-in', roles: EVERYONE },
  closeVisit: { method: 'POST', path: '/visits/{id}/close', roles: CLINICIANS },
  handOver: { method: 'POST', path: '/visits/{id}/hand-over', roles: CLINICIANS },
  pair: { method: 'GET', path: '/pairs/{id}', roles: EVERYONE },
  logPair: { method: 'POST', path: '/pairs/{id}/log', roles: EVERYONE },
  keepPhotograph: { method: 'POST', path: '/pairs/{id}/photographs', roles: EVERYONE },
  broughtPhotographs: { method: 'GET', path: '/visits/{id}/photographs', roles: EVERYONE },
  keepBroughtPhotograph: { method: 'POST', path: '/visits/{id}/photographs', roles: EVERYONE },
  goOn: { method: 'POST', path: '/pairs/{id}/outings/seen', roles: CLINICIANS },
  insights: { method: 'GET', path: '/insights', roles: CLINICIANS },
  insightsCsv: { method: 'GET', path: '/insights.csv', roles: CLINICIANS },
  keepOutcome: { method: 'POST', path: '/pairs/{id}/outcomes', roles: EVERYONE },
  answerOuting: { method: 'POST', path: '/pairs/{id}/outings', roles: EVERYONE },
  photograph: { method: 'GET', path: '/photographs/{id}', roles: EVERYONE },
  repeat: { method: 'GET', path: '/pairs/{id}/repeat', roles: EVERYONE },
  inspectPair: { method: 'POST', path: '/pairs/{id}/inspections', roles: EVERYONE },
  endPair: { method: 'POST', path: '/pairs/{id}/end', roles: EVERYONE },
  changeClinic: { method: 'PATCH', path: '/clinic', roles: LEAD },
  languages: { method: 'GET', path: '/texts', roles: EVERYONE },
  texts: { method: 'GET', path: '/texts/{language}', roles: EVERYONE },
  changeTexts: { method: 'PATCH', path: '/texts/{language}', roles: LEAD },
  sites: { method: 'GET', path: '/sites', roles: EVERYONE },
  addSite: { method: 'POST', path: '/sites', roles: LEAD },
  changeSite: { method: 'PATCH', path: '/sites/{id}', roles: LEAD },
  chooseSite: { method: 'POST', path: '/sites/mine', roles: EVERYONE },
  sessions: { method: 'GET', path: '/sessions', roles: EVERYONE },
  endSession: { method: 'DELETE', path: '/sessions/{id}', roles: EVERYONE },
  people: { method: 'GET', path: '/people', roles: LEAD },
  invite: { method: 'POST', path: '/people', roles: LEAD },
  changePerson: { method: 'PATCH', path: '/people/{id}', roles: LEAD },
  actOnPerson: { method: 'POST', path: '/people/{id}/actions', roles: LEAD },
  audit: { method: 'GET', path: '/audit', roles: LEAD },
  outbox: { method: 'GET', path: '/outbox', roles: LEAD },
  tokens: { method: 'GET', path: '/tokens', roles: EVERYONE },
  addToken: { method: 'POST', path: '/tokens', roles: EVERYONE },
  removeToken: { method: 'DELETE', path: '/tokens/{id}', roles: EVERYONE },
} as const satisfies Record<string, Route>;

export type OperationName = keyof typeof ROUTES;
