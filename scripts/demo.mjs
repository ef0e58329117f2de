import { spawn } from 'node:child_process';
import { build, install, requireNode, root } from './setup.mjs';

requireNode();
install();
build();
const server = spawn('npm', ['run', '-s', 'start'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));
