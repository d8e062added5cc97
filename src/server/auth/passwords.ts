import { dictionary } from '@zxcvbn-ts/language-common';

const LEAST = 12;
const MOST = 128;

const common: ReadonlySet<string> = new Set(dictionary['passwords-common']);

/**
 * What is wrong with a new password, in a sentence, or null. Length and a list of common ones, no rules about signs: NIST
 * SP 800-63B §5.1.1.2, from memory. The list is the one that the library `@zxcvbn-ts/language-common` ships.
 *
 * @param about words that others would try first: name, address, clinic
 */
export function passwordProblem(password: string, about: readonly string[]): string | null {
  if ([...password].length < LEAST)
    return `Use at least ${LEAST} characters; a few words in a row are easy to remember.`;
  if (password.length > MOST) return `Use at most ${MOST} characters.`;
  const plain = password.toLowerCase();
  const bare = plain.replace(/[\d\W_]+$/u, '');
  if (common.has(plain) || common.has(bare))
    return 'This is one of the passwords that are tried first. Choose another.';
  if (/^\d+$/.test(plain)) return 'Digits alone are guessed quickly. Use words.';
  if (new Set(plain).size < 5) return 'This repeats itself. Choose another.';
  const words = about
    .flatMap((text) => text.toLowerCase().split(/[\s@.,-]+/))
    .filter((word) => word.length >= 4);
  const left = words.reduce((rest, word) => rest.replaceAll(word, ''), plain);
  return left.replace(/[\d\W_]/gu, '').length < 4 && left !== plain
    ? 'This is little more than a name that others know. Choose another.'
    : null;
}
