#!/usr/bin/env node
import { command } from './setup.mjs';

// The command is one built file, so that it starts at once; built anew when anything it is made of has changed.
command();
await import('../cli/dist/main.js');
