export type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

export interface Route {
  method: Method;
  /** Below /api/v1, with {names} of path parameters. */
  path: string;
}

/** Method and path of every operation, apart from their schemas: the browser calls by these alone. */
export const ROUTES = {
  footprintScanner: { method: 'GET', path: '/devices/footprint-scanner' },
  pressurePlate: { method: 'GET', path: '/devices/pressure-plate' },
  footScanner: { method: 'GET', path: '/devices/foot-scanner' },
  gaitCamera: { method: 'GET', path: '/devices/gait-camera' },
  specification: { method: 'POST', path: '/calculations/specification' },
  comparison: { method: 'POST', path: '/calculations/comparison' },
  nextQuestions: { method: 'POST', path: '/calculations/next-questions' },
  reliance: { method: 'POST', path: '/calculations/reliance' },
  whatIf: { method: 'POST', path: '/calculations/what-if' },
  sizes: { method: 'POST', path: '/calculations/sizes' },
  socks: { method: 'POST', path: '/calculations/socks' },
  alignment: { method: 'POST', path: '/calculations/alignment' },
  wear: { method: 'POST', path: '/calculations/wear' },
  knowledge: { method: 'GET', path: '/knowledge' },
  houseRules: { method: 'GET', path: '/knowledge/house-rules' },
  saveHouseRules: { method: 'POST', path: '/knowledge/house-rules' },
  previewHouseRules: { method: 'POST', path: '/knowledge/house-rules/preview' },
  replay: { method: 'GET', path: '/specifications/{id}/replay' },
  models: { method: 'GET', path: '/models' },
  model: { method: 'GET', path: '/models/{id}' },
  changeModel: { method: 'PATCH', path: '/models/{id}' },
  benchTest: { method: 'POST', path: '/models/{id}/bench-tests' },
  exportCatalogue: { method: 'GET', path: '/catalogue' },
  importCatalogue: { method: 'POST', path: '/catalogue' },
  supplierFeed: { method: 'GET', path: '/supplier/feed' },
  answerSupplier: { method: 'POST', path: '/supplier/feed' },
  candidates: { method: 'POST', path: '/calculations/candidates' },
  moreLike: { method: 'POST', path: '/calculations/more-like' },
  fitAdvice: { method: 'POST', path: '/calculations/fit-advice' },
  orderPair: { method: 'POST', path: '/visits/{id}/order' },
  orders: { method: 'GET', path: '/orders' },
  orderEvent: { method: 'POST', path: '/orders/{id}/events' },
  today: { method: 'GET', path: '/today' },
  findPatients: { method: 'GET', path: '/patients' },
  addPatient: { method: 'POST', path: '/patients' },
  patient: { method: 'GET', path: '/patients/{id}' },
  changePatient: { method: 'PATCH', path: '/patients/{id}' },
  startVisit: { method: 'POST', path: '/patients/{id}/visits' },
  visit: { method: 'GET', path: '/visits/{id}' },
  saveStep: { method: 'PUT', path: '/visits/{id}/steps/{step}' },
  presence: { method: 'POST', path: '/visits/{id}/presence' },
  closeVisit: { method: 'POST', path: '/visits/{id}/close' },
  handOver: { method: 'POST', path: '/visits/{id}/hand-over' },
  logPair: { method: 'POST', path: '/pairs/{id}/log' },
  endPair: { method: 'POST', path: '/pairs/{id}/end' },
  changeClinic: { method: 'PATCH', path: '/clinic' },
  tokens: { method: 'GET', path: '/tokens' },
  addToken: { method: 'POST', path: '/tokens' },
  removeToken: { method: 'DELETE', path: '/tokens/{id}' },
} as const satisfies Record<string, Route>;

export type OperationName = keyof typeof ROUTES;
