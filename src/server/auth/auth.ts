import { betterAuth } from 'better-auth';
import { twoFactor } from 'better-auth/plugins/two-factor';
import { authDatabase } from '../database/connection';
import { log } from '../http/log';
import { siteOrigin } from '../http/site-origin';
import { takeSeat } from './seats';

/** A session ends after so long without a request, and in any case after a day: ours, a setting of this file. */
const IDLE_SECONDS = 8 * 3600;
export const LONGEST_SESSION_MS = 24 * 3600 * 1000;

/** Header that carries the client's address to the rate limiter; set by our own endpoint, never taken from outside. */
export const CLIENT_ADDRESS_HEADER = 'x-sovet-client-address';

function createAuth() {
  return betterAuth({
    database: authDatabase(),
    secret: process.env.SOVET_SECRET,
    baseURL: siteOrigin(),
    basePath: '/api/auth',
    trustedOrigins: [siteOrigin()],
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 12, maxPasswordLength: 128 },
    session: {
      expiresIn: IDLE_SECONDS,
      updateAge: 60 * 10,
      additionalFields: { seat: { type: 'string', required: false, input: false } },
    },
    user: {
      additionalFields: {
        // Columns that a seat needs; who may sit where is read from them elsewhere.
        clinicId: { type: 'string', required: true, input: false, fieldName: 'clinic_id' },
        role: { type: 'string', required: true, input: false },
        standing: { type: 'string', required: true, input: false },
        contactEmail: { type: 'string', required: true, input: false, fieldName: 'contact_email' },
      },
    },
    databaseHooks: {
      session: {
        create: {
          // Whoever was suspended or has left signs in nowhere, whatever they still know.
          before: async ({ userId }) => {
            const seat = await takeSeat(userId);
            return seat ? undefined : false;
          },
        },
      },
    },
    plugins: [twoFactor({ issuer: 'Sovet', skipVerificationOnEnable: false })],
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 100,
      customRules: { '/sign-in/email': { window: 60, max: Number(process.env.SOVET_SIGN_IN_LIMIT ?? 10) } },
    },
    advanced: {
      // A session and whose it is in one question: every request asks it.
      database: { joins: true },
      cookiePrefix: 'sovet',
      useSecureCookies: siteOrigin().startsWith('https:'),
      defaultCookieAttributes: { httpOnly: true, sameSite: 'lax' },
      ipAddress: { ipAddressHeaders: [CLIENT_ADDRESS_HEADER] },
    },
    // One line of JSON like everything else; an outage of the database would fill the log with stacks otherwise.
    logger: {
      level: 'error',
      log: (_, message, ...rest) =>
        log.warn({ err: rest.find((part) => part instanceof Error) }, `sign-in: ${message.slice(0, 80)}`),
    },
    telemetry: { enabled: false },
  });
}

let made: { auth: ReturnType<typeof createAuth>; on: ReturnType<typeof authDatabase> } | undefined;

/** Sign-in, made on first use because its database address arrives with the environment, and anew on another connection. */
export function auth(): ReturnType<typeof createAuth> {
  const on = authDatabase();
  if (made?.on !== on) made = { auth: createAuth(), on };
  return made.auth;
}
