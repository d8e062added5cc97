import type { Tenant } from './tenant';

interface Once<T> {
  (tenant: Tenant, ...of: string[]): Promise<T>;
  /** Whoever changes what is kept lets it be read again. */
  forget: (tenant: Tenant) => void;
}

/**
 * A reading that one request asks for again and again: made once in its transaction and kept until that ends.
 *
 * @param read whose answer changes only by what calls `forget`
 */
export function oncePerTransaction<T>(read: (tenant: Tenant, ...of: string[]) => Promise<T>): Once<T> {
  const kept = new WeakMap<Tenant['tx'], Map<string, Promise<T>>>();
  const once = (tenant: Tenant, ...of: string[]): Promise<T> => {
    const own = kept.get(tenant.tx) ?? new Map<string, Promise<T>>();
    kept.set(tenant.tx, own);
    const key = of.join();
    const answer = own.get(key) ?? read(tenant, ...of);
    own.set(key, answer);
    return answer;
  };
  return Object.assign(once, { forget: ({ tx }: Tenant) => void kept.delete(tx) });
}
