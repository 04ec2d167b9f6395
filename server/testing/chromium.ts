import { existsSync } from 'node:fs';

/** Debian's Chromium without a window of its own, where it is installed: a test takes it a tenth less. */
const headless = '/usr/bin/chromium-headless-shell';

/**
 * Debian's Chromium as the tests and the bench start it. The last list of features switched off is the one that counts:
 * it holds what matters here of the test runner's own, and the pages that the browser makes for its address bar, which
 * nobody sees and which on two cores take as long as a test.
 */
export const chromium = {
  executablePath: existsSync(headless) ? headless : '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
    `--disable-features=${[
      'HttpsUpgrades',
      'HttpsFirstBalancedModeAutoEnable',
      'LensOverlay',
      'MediaRouter',
      'OptimizationHints',
      'PaintHolding',
      'PreconnectToSearch',
      'PreloadTopChromeWebUI',
      'WebUIOmniboxAimPopup',
      'WebUIOmniboxFullPopup',
      'WebUIOmniboxPopup',
    ].join(',')}`,
  ],
};
