// Which answers go out compressed. Files of the browser are compressed by the build; this is for what is made anew.
import { constants } from 'node:zlib';
import compression from 'compression';

const FROM_BYTES = 1000;
/** Whole answers of text. What is written line by line (progress of a long task) goes out as it comes. */
const WORTH = /^(?:text\/(?:html|csv|calendar)|application\/(?:[\w.]+\+)?json)\b/;
/** Pages that show words of their own address beside nothing that is anybody's. */
const NOBODYS = /^\/shoes\b/;

/**
 * A page that repeats words of its address beside what only its reader may know would tell both, by its length, to whoever can make
 * the reader open it again and again and watches the line (BREACH, Gluck, Harris and Prado 2013, from memory): such a page goes as it is.
 */
const repeatsItsAddress = (request, type) =>
  type.startsWith('text/html') && request.url.includes('?') && !NOBODYS.test(request.url);

export const compressed = compression({
  threshold: FROM_BYTES,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 4 } },
  filter: (request, response) => {
    const type = String(response.getHeader('content-type') ?? '');
    return WORTH.test(type) && !repeatsItsAddress(request, type);
  },
});
