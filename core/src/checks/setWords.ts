import type { Finding } from './finding.ts';

export const inBrief = (place: string, code: string, message: string, remedy: string): Finding => ({
  code,
  severity: 'warn',
  band: 'brief',
  place,
  message,
  remedy,
});
