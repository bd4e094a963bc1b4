import { By } from 'selenium-webdriver';

import { journey } from '../journey';
import { PAGES } from '../pages';

// WCAG 2.2 A and AA and best practices, by axe-core, on every page in the four combinations of width and colours.
describe.each(['phone', 'computer'] as const)('on a %s', (device) => {
  journey(
    'every page in light and in dark can be used by everybody, as far as a machine can tell',
    'demo',
    async ({ open }) => {
      const app = await open(device);
      await app.seeText('Synced');
      for (const [path, drawn] of PAGES) {
        await app.open(path);
        await app.see(By.css(drawn));
        for (const scheme of ['light', 'dark'] as const) {
          await app.browser.scheme(scheme);
          await app.expectAccessible().catch((error: Error) => {
            throw new Error(`${path}, ${scheme}: ${error.message}`);
          });
        }
      }
    },
    400_000,
  );
});
