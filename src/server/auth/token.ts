import { createHash, randomBytes } from 'node:crypto';

/** A fresh personal access token: shown once, kept only as a hash. */
export const newToken = (): string => `sovet_${randomBytes(30).toString('base64url')}`;

/** Tokens carry 240 random bits, so a plain hash is enough: there is nothing to guess. */
export const hashToken = (token: string): string => createHash('sha256').update(token).digest('hex');
