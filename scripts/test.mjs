import { browser, build, command, install, requireNode, run } from './setup.mjs';

requireNode();
install();
browser();
build();
command();
run('npm', ['run', '-s', 'check']);
run('npm', ['run', '-s', 'unit']);
run('npm', ['run', '-s', 'e2e']);
