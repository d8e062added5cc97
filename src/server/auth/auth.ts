import { betterAuth } from 'better-auth';
import { twoFactor } from 'better-auth/plugins/two-factor';
import { authDatabase } from '../database/connection';
import { siteOrigin } from '../http/site-origin';

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
    session: { expiresIn: IDLE_SECONDS, updateAge: 60 * 10 },
    user: {
      additionalFields: {
        clinicId: { type: 'string', required: true, input: false, fieldName: 'clinic_id' },
        role: { type: 'string', required: true, input: false },
        standing: { type: 'string', required: true, input: false },
      },
    },
    databaseHooks: {
      session: {
        create: {
          // Whoever was suspended or has left signs in nowhere, whatever they still know.
          before: async ({ userId }) => {
            const { rowCount } = await authDatabase().query(
              `update auth."user" set "lastSignInAt" = now() where id = $1 and standing = 'active'`,
              [userId],
            );
            return rowCount === 1;
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
      cookiePrefix: 'sovet',
      useSecureCookies: siteOrigin().startsWith('https:'),
      defaultCookieAttributes: { httpOnly: true, sameSite: 'lax' },
      ipAddress: { ipAddressHeaders: [CLIENT_ADDRESS_HEADER] },
    },
    logger: { level: 'error' },
    telemetry: { enabled: false },
  });
}

let instance: ReturnType<typeof createAuth> | undefined;

/** Sign-in, made on first use because its database address arrives with the environment. */
export function auth(): ReturnType<typeof createAuth> {
  instance ??= createAuth();
  return instance;
}
