import { spawn } from 'node:child_process';
import { build, command, install, requireNode, root } from './setup.mjs';

requireNode();
install();
build();
command();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));
