import { z } from 'zod';
import type { Result } from '@/core/result/result';

/**
 * What was typed into a form's field, as a number; nothing typed is null.
 *
 * @example typedNumber(parseDistance).parse('5 mi') // 8.04672
 */
export const typedNumber = (read: (text: string) => Result<number>) =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return null;
    const result = read(text);
    if (result.ok) return result.value;
    context.addIssue({ code: 'custom', message: result.problem.message });
    return z.NEVER;
  });
