import type { Finding } from './finding.ts';

export const onCutting = (
  severity: Finding['severity'],
  code: string,
  place: string,
  message: string,
  remedy: string,
): Finding => ({ code, severity, band: 'cutting', place, message, remedy });
