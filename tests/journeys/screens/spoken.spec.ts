import { expect, type Page, test } from '@playwright/test';
import { signIn } from '../keyboard';
import { openTab, openVisit } from '../reasoning/past-patients';

const work = (page: Page) => page.getByRole('region', { name: /, work$/ });

/** Opens a part of a step of the visit that is open. */
async function part(page: Page, step: string, tab: RegExp): Promise<void> {
  await page.goto(`${page.url().split('#')[0]}#${step}`);
  await openTab(page, tab);
}

test('drawings and the board are spoken as they are read: what it is, whose side, in the order of the eye', async ({
  page,
}) => {
  await signIn(page);
  await openVisit(page, 'Pell');

  await expect(page.getByRole('complementary', { name: 'Specification' })).toMatchAriaSnapshot(`
    - complementary "Specification":
      - img /Side profile. drop \\d+ mm, heel \\d+ mm, forefoot \\d+ mm\\./
      - img /Sole plan. \\d+ mm wide at the heel, \\d+ mm at the ball, round toe\\./
      - paragraph: /\\d+ targets; everything else is drawn as on a typical shoe\\./
      - list "Targets":
        - listitem:
          - button "limit Toe-box depth deep":
            - img "limit"
        - listitem:
          - button "strong Seam-free lining yes":
            - img "strong"
  `);

  // Each mark says finding, feature, push and evidence by itself: somebody who moves cell by cell hears no header.
  await expect(page.getByRole('table', { name: 'Findings against features' })).toMatchAriaSnapshot(`
    - table "Findings against features":
      - rowgroup:
        - row:
          - columnheader /more, grade A less, grade B toward, grade C away from limit contested larger is stronger/
          - columnheader /Heel-to-toe drop. up to \\d+ mm/:
            - button /Heel-to-toe drop. up to \\d+ mm/
      - rowgroup:
        - row /^Age/:
          - rowheader /Age \\d+ y/
          - cell
          - cell /Age on heel stack. strong, less than usual, evidence B/:
            - button /Age on heel stack. strong, less than usual, evidence B/
  `);

  await part(page, 'ask', /^Aches/);
  await expect(work(page).getByRole('region', { name: 'Aches, left' })).toMatchAriaSnapshot(`
    - region "Aches, left":
      - heading "left" [level=2]
      - figure "leg, front":
        - group "leg, front, left":
          - checkbox "hip, left"
          - checkbox "front of the knee, left"
          - checkbox "inner side of the knee, left"
          - checkbox "shin, left"
      - figure "leg, back"
      - figure "top"
      - figure "sole":
        - group "sole, left":
          - checkbox "under the heel, left"
      - figure "outer side"
      - figure "inner side"
      - figure "heel, from behind"
  `);

  await part(page, 'feet', /^Skin/);
  const headSkin = work(page).getByRole('checkbox', { name: 'under the first metatarsal head, left, skin' });
  await expect(headSkin).toBeChecked();

  await part(page, 'feet', /^Hot spots/);
  await expect(work(page).getByRole('group', { name: 'left foot from above' })).toMatchAriaSnapshot(`
    - group "left foot from above":
      - button /^left. toe tips, nails/
      - button /^left. between the toes/
      - button /^left. knuckles of the toes/
      - button /^left. ball/
  `);

  // Left and right stand beside each other on the screen; to the ear each names itself.
  await part(page, 'feet', /^Sensation/);
  await expect(work(page).getByRole('status').last()).toMatchAriaSnapshot(`
    - status:
      - text: /^left./
      - strong: Unknown
      - text: /right.$/
      - strong: Unknown
  `);
});
