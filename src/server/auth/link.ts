import { createHash, randomBytes } from 'node:crypto';

/** A fresh secret for a link in a letter: 240 random bits. */
export const newLinkToken = (): string => randomBytes(30).toString('base64url');

/** A link as it is kept. */
export const linkDigest = (token: string): string =>
  createHash('sha256').update(`link ${token}`).digest('hex');
