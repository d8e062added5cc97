/** Where the application is, as it stands in letters and cookies. */
export const siteOrigin = (): string => process.env.SOVET_ORIGIN ?? 'http://127.0.0.1:4321';
