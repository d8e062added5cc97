import { z } from 'zod';

export const isoDay = z.iso.date('Write the date as year-month-day.');
