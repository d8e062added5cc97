import { mayDo, PARTS, type Part } from '@/contract/permissions';
import type { Actor } from '../database/tenant';
import { Refusal } from '../http/problem';

/** Refuses (403) what the role may not do within an operation that it may call. */
export function requirePart({ role }: Actor, part: Part): void {
  if (!mayDo(role, part))
    throw new Refusal(403, `Only ${PARTS[part].roles.join(' or ')} may ${PARTS[part].what}.`);
}
