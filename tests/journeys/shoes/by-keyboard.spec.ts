import { test } from '@playwright/test';
import { fromSpecificationToCollected, keyboard } from './collecting';

test('from specification to collected pair by keyboard alone', async ({ page }) => {
  await fromSpecificationToCollected(page, keyboard, 'Keys');
});
