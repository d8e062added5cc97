import { keepPhone } from '@/server/http/home-endpoint';
import { openEndpoint } from '@/server/http/open-endpoint';
import { openHome, openHomeSchema } from '@/server/services/home/open';

export const POST = openEndpoint(openHomeSchema, async (body, _, cookies) => {
  const opened = await openHome(body);
  if ('left' in opened) return opened;
  keepPhone(cookies, opened.link, opened.secret, opened.until);
  return { link: opened.link };
});
