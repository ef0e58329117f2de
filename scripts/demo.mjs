import { spawn } from 'node:child_process';
import { build, command, install, requireNode, root, server } from './setup.mjs';

requireNode();
install();
build();
command();
server();
const serving = spawn(process.execPath, ['server/dist/main.js'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => serving.kill(signal));
serving.on('exit', (code, signal) => process.exit(signal ? 0 : (code ?? 1)));
