import { browser, build, command, install, requireNode, run, server } from './setup.mjs';

requireNode();
install();
browser();
build();
command();
server();
run('npm', ['run', '-s', 'check']);
run('npm', ['run', '-s', 'unit']);
run('npm', ['run', '-s', 'e2e']);
