// Debian's Chromium, driven headless with nothing but this machine to talk to.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import puppeteer from 'puppeteer-core';

export const openBrowser = async () => {
  const profile = mkdtempSync(`${tmpdir()}/rubbet-chromium-`);
  const browser = await puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    headless: true,
    userDataDir: profile,
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--enable-unsafe-swiftshader',
      '--use-angle=swiftshader',
      '--force-color-profile=srgb',
      '--lang=en-US',
    ],
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true });
    },
  };
};

/** Signs in through the form, as a person would. */
export const signIn = async (page, base, login, password = 'hedgerow') => {
  await page.goto(`${base}/sign-in`, { waitUntil: 'networkidle0' });
  await page.type('input[autocomplete=username]', login);
  await page.type('input[type=password]', password);
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => !location.pathname.startsWith('/sign-in'));
  await page.waitForNetworkIdle({ idleTime: 200 });
};
