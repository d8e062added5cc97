import { test } from '@playwright/test';
import { fromSpecificationToCollected, keyboard } from './collecting';

test('from specification to collected pair by keyboard alone', async ({ page }) => {
  test.setTimeout(150_000);
  await fromSpecificationToCollected(page, keyboard, 'Keys');
});
