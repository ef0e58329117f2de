import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';
import { elevationGrid } from './elevation.ts';
import { TooBusy } from './heights.ts';
import { listenNear, stopped } from './listen.ts';

const dist = mkdtempSync(join(tmpdir(), 'hosket-dist-'));
mkdirSync(join(dist, 'assets'));
writeFileSync(join(dist, 'index.html'), '<meta name="csp-nonce" content="__HOSKET_NONCE__"><div id="root"></div>');
writeFileSync(join(dist, 'assets', 'app-1.js'), 'export {};');

let server: Server;
let address = '';
beforeAll(async () => {
  const got = await listenNear(createApp(dist), '127.0.0.1', 4950);
  server = got.server;
  address = `http://127.0.0.1:${got.port}`;
});
afterAll(() => void server.close());

describe('the server', () => {
  it('answers every route of the app with the page, and with its headers', async () => {
    for (const path of ['/', '/project/abc/layers']) {
      const response = await fetch(address + path);
      const policy = response.headers.get('content-security-policy') ?? '';
      const body = await response.text();
      expect(response.status).toBe(200);
      expect(body).toContain('id="root"');
      expect(policy).toContain("default-src 'self'");
      expect(policy).not.toMatch(/unsafe|\*|https?:/);
      expect(response.headers.get('x-content-type-options')).toBe('nosniff');
      expect(response.headers.get('x-powered-by')).toBeNull();
      // The one-time token of the header is the one in the page, and a new one each time.
      const nonce = /content="([^"]+)"/.exec(body)?.[1];
      expect(policy).toContain(`'nonce-${nonce}'`);
      expect(await (await fetch(address + path)).text()).not.toContain(nonce);
    }
  });

  it('serves built files for long, and says when one is not there', async () => {
    const asset = await fetch(`${address}/assets/app-1.js`);
    expect(asset.headers.get('cache-control')).toContain('immutable');
    expect((await fetch(`${address}/assets/none.js`)).status).toBe(404);
    expect((await fetch(`${address}/assets/..%2f..%2fpackage.json`)).status).toBeGreaterThanOrEqual(400);
  });

  it('tells that it is well, and answers what is not there without a trace of where it stands', async () => {
    expect(await (await fetch(`${address}/api/health`)).json()).toEqual({ ok: true });
    const none = await fetch(`${address}/api/nothing`);
    expect([none.status, await none.json()]).toEqual([404, { error: 'There is no such address.' }]);
    for (const path of ['/%E0%A4%A', '/assets/%E0%A4%A', '/assets/none.js', '/api/%']) {
      const response = await fetch(address + path);
      const body = await response.text();
      expect(response.status, path).toBeGreaterThanOrEqual(400);
      expect(response.status, path).toBeLessThan(500);
      expect(body, path).not.toMatch(/node_modules|at .*\(|\.ts|\/tmp/);
    }
  });

  it('makes up heights by the name of a place: the same name the same ground, another name another', async () => {
    const ground = async (place: string) => {
      const response = await fetch(`${address}/api/elevation?place=${encodeURIComponent(place)}`);
      return { status: response.status, text: await response.text() };
    };
    const { places } = (await (await fetch(`${address}/api/places`)).json()) as { places: string[] };
    expect(places).toContain('Tarrow Moor');
    const [moor, again, cone] = [
      await ground('Tarrow Moor'),
      await ground(' tarrow moor '),
      await ground('Ondra Cone'),
    ];
    expect(moor.status).toBe(200);
    expect(moor.text).toBe(again.text);
    expect(moor.text).not.toBe(cone.text);
    const [header, rows] = [moor.text.split('\n').slice(0, 6), moor.text.trim().split('\n').slice(6)];
    expect(header[0]).toBe(`ncols ${rows[0].split(' ').length}`);
    expect(header[1]).toBe(`nrows ${rows.length}`);
    // A cone is highest near its middle.
    const middle = Number(cone.text.trim().split('\n').slice(6)[30].split(' ')[60]);
    expect(middle).toBeGreaterThan(Number(cone.text.trim().split('\n').slice(6)[0].split(' ')[0]) + 150);
    expect((await ground('')).status).toBe(400);
    expect((await ground('x'.repeat(200))).status).toBe(400);
  });

  it('takes nothing in, and asks to wait who asks too much or too often', async () => {
    const body = await fetch(`${address}/api/health`, { method: 'POST', body: 'x'.repeat(10) });
    expect(body.status).toBe(413);
    const busy = createApp(dist, {
      mostAMinute: 3,
      heightsOf: async (place) => {
        if (place === 'much') throw new TooBusy();
        return 'ncols 1';
      },
    });
    const { server: other, port } = await listenNear(busy, '127.0.0.1', 4960);
    const ask = async (place: string) => await fetch(`http://127.0.0.1:${port}/api/elevation?place=${place}`);
    const much = await ask('much');
    expect([much.status, much.headers.get('retry-after')]).toEqual([503, '5']);
    expect([(await ask('a')).status, (await ask('b')).status]).toEqual([200, 200]);
    const often = await ask('c');
    expect([often.status, await often.json()]).toEqual([
      429,
      { error: 'Too many questions at once. Wait a minute and ask again.' },
    ]);
    // The page itself is always given.
    expect((await fetch(`http://127.0.0.1:${port}/`)).status).toBe(200);
    await new Promise((done) => other.close(done));
  });

  it('told to stop, it takes no more and answers to the end what it was asked', async () => {
    let begun = () => {};
    let give = (_: string) => {};
    const asked = new Promise<void>((done) => {
      begun = done;
    });
    const slow = createApp(dist, {
      heightsOf: () => {
        begun();
        return new Promise((done) => {
          give = done;
        });
      },
    });
    const { server: other, port } = await listenNear(slow, '127.0.0.1', 4970);
    const answer = fetch(`http://127.0.0.1:${port}/api/elevation?place=far`);
    await asked;
    const end = stopped(other);
    await expect(fetch(`http://127.0.0.1:${port}/api/health`)).rejects.toThrow();
    give('ncols 9');
    expect(await (await answer).text()).toBe('ncols 9');
    await end;
  });

  it('as it is built: 200 heights at once, each right; it ends well when it is told to', async () => {
    const built = fileURLToPath(new URL('../dist/main.js', import.meta.url));
    const child = spawn(process.execPath, [built], { env: { ...process.env, PORT: '0' }, stdio: 'pipe' });
    const ended = new Promise<number | null>((done) => child.on('exit', done));
    const said = await new Promise<string>((done, fail) => {
      child.stdout.once('data', (data: Buffer) => done(String(data)));
      child.stderr.once('data', (data: Buffer) => fail(new Error(String(data))));
    });
    const at = /http:\/\/\S+/.exec(said)?.[0];
    const ask = async (place: string) => await (await fetch(`${at}api/elevation?place=${place}`)).text();
    const names = Array.from({ length: 200 }, (_, k) => `place-${k}`);
    const got = await Promise.all(names.map(ask));
    expect(got.every((text, k) => text === elevationGrid(names[k]))).toBe(true);
    child.kill('SIGTERM');
    expect(await ended).toBe(0);
  });

  it('takes a free port near a taken one', async () => {
    const taken = Number(new URL(address).port);
    const second = await listenNear(createApp(dist), '127.0.0.1', taken);
    expect(second.port).toBeGreaterThan(taken);
    expect(second.port).toBeLessThan(taken + 20);
    await new Promise((done) => second.server.close(done));
  });

  it('says what to do when the app is not built', () => {
    expect(() => createApp(join(dist, 'nowhere'))).toThrow('npm run build');
  });
});
