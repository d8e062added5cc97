export interface Logins {
  app: string;
  auth: string;
  /** The code of a first start, where nobody has an account yet. */
  setUpCode?: string | null;
}
export function prepareDatabase(ownerUrl: string, secret: string, env?: Record<string, string>): Logins;
export function startApplication(options: {
  port: number;
  secret: string;
  logins: Logins;
  env?: Record<string, string>;
}): Promise<{
  /** Where a browser sees it. */
  origin: string;
  /** Where it listens, whatever stands before it. */
  here: string;
  stop: (signal?: string) => Promise<void>;
  ended: Promise<number | null>;
  pid: number;
}>;
