import { inWords, sentence, type UnitSystem } from '../units/index.ts';
import type { Finding } from './finding.ts';

/** What a rule gave, said in metric units; and apart from its figures, where it has any. */
export function withWords(finding: Finding): Finding {
  const { metric, said } = inWords({ message: finding.message, remedy: finding.remedy });
  return { ...finding, ...metric, ...inWords({ place: finding.place }).metric, ...(said && { said }) };
}

/** A finding's sentences in the builder's units. */
export const findingIn = (
  { message, remedy, said }: Pick<Finding, 'message' | 'remedy' | 'said'>,
  system: UnitSystem,
): { message: string; remedy: string } =>
  said ? { message: sentence(said.message, system), remedy: sentence(said.remedy, system) } : { message, remedy };
