import type { Actor } from '../../database/tenant';

/** Who looks after a clinic's pairs without anybody asking. */
export const caretaker = (clinicId: string): Actor => ({
  userId: 'pairs',
  clinicId,
  role: 'assistant',
  name: 'Care of pairs',
  siteId: null,
});
