/** Writes docs/roles.md. */
import { writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { rolesInMarkdown } from '@/contract/permissions';

writeFileSync(resolve(import.meta.dirname, '../../../docs/roles.md'), rolesInMarkdown());
