import { chromium } from '@playwright/test';
import { App } from '/work/main/e2e/hosket.ts';
import { pathToFileURL } from 'node:url';
const [, , stepsFile, address = 'http://127.0.0.1:4960', width = '1280', height = '800', scheme] = process.argv;
const context = await chromium.launchPersistentContext(process.env.PROFILE ?? '/tmp/walkprofile', { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'], viewport: { width: +width, height: +height }, acceptDownloads: true, colorScheme: (scheme as 'light') ?? 'light' });
const page = context.pages()[0] ?? (await context.newPage());
page.setDefaultTimeout(20000);
page.on('console', (m) => ['error', 'warning'].includes(m.type()) && console.log('CONSOLE', m.text().slice(0, 300)));
page.on('pageerror', (e) => console.log('PAGEERROR', e.message));
const app = new App(page, address);
const shot = (name: string) => page.screenshot({ path: `/tmp/keep/${name}.png` });
const text = async (role = 'main') => (await page.getByRole(role as 'main').innerText()).slice(0, 3500);
try { const { steps } = await import(pathToFileURL(stepsFile).href); await steps({ page, app, shot, text, context }); } catch (e) { console.log('FAILED', (e as Error).message.slice(0, 1500)); await shot('failed'); }
await context.close();
