import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Set-up that needs nothing but Node: every step is skipped when its result is already there. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));
export const chromium = '/usr/bin/chromium';

export const oldestNode = [20, 19];

/** Null when the version (like "20.20.2") will do, else what to say. */
export function nodeFault(version) {
  const [major, minor] = version.split('.').map(Number);
  if (major > oldestNode[0] || (major === oldestNode[0] && minor >= oldestNode[1])) return null;
  return `Hosket needs Node ${oldestNode.join('.')} or newer; this is Node ${version}. Install Node 20 or newer and try again.`;
}

export function requireNode() {
  const fault = nodeFault(process.versions.node);
  if (!fault) return;
  console.error(fault);
  process.exit(1);
}

/** Runs a command in the project's folder with its output shown; stops with its exit code when it fails. */
export function run(command, args, { mayFail = false } = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit' });
  if (error) console.error(`Cannot run ${command}: ${error.message}`);
  const code = error ? 1 : (status ?? 1);
  if (code !== 0 && !mayFail) process.exit(code);
  return code;
}

/** One hash over files and folders, by content; what is ignored is not looked at. */
function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (name !== 'node_modules' && name !== 'dist') add(join(path, name));
    } else hash.update(path.slice(root.length)).update(readFileSync(path));
  };
  for (const path of paths) add(join(root, path));
  return hash.digest('hex');
}

/** Runs `work` unless it was last run on the same contents of `paths` and `result` is still there. */
function unlessSame(name, paths, result, work) {
  const stamp = join(root, '.cache', name);
  const now = hashOf(paths);
  if (existsSync(join(root, result)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
}

export function install() {
  const manifests = [
    'package.json',
    'package-lock.json',
    ...['core', 'formats', 'cli', 'server', 'web', 'e2e', 'bench'].map((name) => `${name}/package.json`),
  ];
  unlessSame('install', manifests, 'node_modules/.package-lock.json', () => {
    console.log('Installing packages...');
    run('npm', ['ci', '--no-audit', '--no-fund']);
  });
}

export function build() {
  unlessSame('build', ['package-lock.json', 'core', 'web', 'samples'], 'web/dist/index.html', () => {
    console.log('Building the application...');
    run('npm', ['run', '-s', 'build']);
  });
}

/** When the newest file of a folder was changed, ms. */
function newest(path) {
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  const inside = readdirSync(path).filter((name) => name !== 'node_modules' && name !== 'dist');
  return Math.max(mtimeMs, ...inside.map((name) => newest(join(path, name))));
}

/** A part built for Node. Looks at the times of its sources only: this runs before every command. */
function builtForNode(part, sources) {
  const built = join(root, part, 'dist/main.js');
  const since = existsSync(built) ? statSync(built).mtimeMs : 0;
  if ([...sources, `${part}/src`, `${part}/vite.config.ts`].every((path) => newest(join(root, path)) < since)) return;
  const { status, stderr, stdout } = spawnSync('npx', ['vite', 'build', part, '--logLevel', 'warn'], { cwd: root });
  if (status === 0) return;
  console.error(`Cannot build the ${part}:\n${stdout}${stderr}`);
  process.exit(1);
}

/** The command line. */
export const command = () => builtForNode('cli', ['core/src', 'formats/src', 'package-lock.json']);

/** The server. */
export const server = () => builtForNode('server', ['core/src', 'package-lock.json']);

/** Debian's Chromium for the browser tests: installed as root, asked for otherwise. */
export function browser() {
  if (existsSync(chromium)) return;
  if (process.getuid?.() !== 0) {
    console.error(
      `The browser tests need ${chromium}. Install it with:  sudo apt-get update && sudo apt-get install -y chromium`,
    );
    process.exit(1);
  }
  console.log('Installing Chromium from the Debian packages...');
  run('apt-get', ['update', '-q'], { mayFail: true });
  run('apt-get', ['install', '-y', '-q', '--no-install-recommends', 'chromium']);
  if (existsSync(chromium)) return;
  console.error(`The package was installed but ${chromium} is not there. Put a Chromium at that path and try again.`);
  process.exit(1);
}
