import { describe, expect, it } from 'vitest';
import { nodeFault } from './setup.mjs';

describe('which Node will do', () => {
  it.each(['20.19.0', '20.20.2', '22.1.0'])('%s', (version) => expect(nodeFault(version)).toBeNull());
  it.each(['18.20.1', '20.9.0', '16.0.0'])('%s is too old, and is told what to do', (version) => {
    expect(nodeFault(version)).toContain(`this is Node ${version}`);
    expect(nodeFault(version)).toContain('Install Node 20');
  });
});
