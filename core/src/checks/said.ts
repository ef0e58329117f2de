import { inWords, sentence, type UnitSystem } from '../units/index.ts';
import type { Finding } from './finding.ts';

/** What a rule gave, said in metric units; and apart from its figures, where it has any. */
export function withWords(finding: Finding): Finding {
  const { message, remedy, place } = finding;
  const { metric, said } = inWords({ message, remedy, place });
  return { ...finding, ...metric, ...(said && { said }) };
}

/** A finding's sentences in the builder's units. */
export const findingIn = (
  { message, remedy, place, said }: Pick<Finding, 'message' | 'remedy' | 'place' | 'said'>,
  system: UnitSystem,
): { message: string; remedy: string; place: string } =>
  said
    ? {
        message: sentence(said.message, system),
        remedy: sentence(said.remedy, system),
        place: sentence(said.place, system),
      }
    : { message, remedy, place };
