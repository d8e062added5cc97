import { CLINICIANS, EVERYONE, ROUTES, type Role } from './routes';

/** Parts of an operation that ask for more than the operation itself. */
export const PARTS = {
  answerWarnings: { of: 'saveStep', what: 'answer warning signs', roles: CLINICIANS },
  decide: {
    of: 'saveStep',
    what: 'pin, loosen, overrule or set aside, or choose the school',
    roles: CLINICIANS,
  },
  collectOrder: { of: 'orderEvent', what: 'hand over a pair that was ordered', roles: CLINICIANS },
  priceOrDiscontinue: {
    of: 'changeModel',
    what: 'change a price, or discontinue a model',
    roles: CLINICIANS,
  },
} as const satisfies Record<string, { of: keyof typeof ROUTES; what: string; roles: readonly Role[] }>;
export type Part = keyof typeof PARTS;

export const mayDo = (role: Role, part: Part): boolean =>
  (PARTS[part].roles as readonly Role[]).includes(role);

const HEADINGS: Record<Role, string> = { lead: 'Lead', practitioner: 'Practitioner', assistant: 'Assistant' };

/** Who may do what, as a page: written into docs/roles.md and held to it by a test. */
export function rolesInMarkdown(): string {
  const marks = (roles: readonly Role[]) =>
    EVERYONE.map((role) => (roles.includes(role) ? 'yes' : '–')).join(' | ');
  const rows = Object.entries(ROUTES).flatMap(([name, { method, path, roles }]) => [
    `| ${method} ${path} | ${marks(roles)} |`,
    ...Object.values(PARTS)
      .filter(({ of }) => of === name)
      .map((part) => `| … ${part.what} | ${marks(part.roles)} |`),
  ]);
  return [
    '# Who may do what',
    '',
    'Made from `src/contract/routes.ts` and `src/contract/permissions.ts` by `npm run docs:roles`; a test calls every operation',
    'with every role.',
    '',
    `| Below /api/v1 | ${EVERYONE.map((role) => HEADINGS[role]).join(' | ')} |`,
    '| --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}
