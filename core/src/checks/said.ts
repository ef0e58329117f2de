import { type Said, saidOf, sentence, type UnitSystem } from '../units/index.ts';
import type { Finding } from './finding.ts';

/** What a rule gave, said in metric units; and apart from its figures, where it has any. */
export function withWords(finding: Finding): Finding {
  const [place, message, remedy] = [finding.place, finding.message, finding.remedy].map(saidOf);
  const metric = (said: Said) => sentence(said, 'metric');
  const figures = message.quantities.length + remedy.quantities.length > 0;
  return {
    ...finding,
    place: metric(place),
    message: metric(message),
    remedy: metric(remedy),
    ...(figures && { said: { message, remedy } }),
  };
}

/** A finding's sentences in the builder's units. */
export const findingIn = (
  { message, remedy, said }: Pick<Finding, 'message' | 'remedy' | 'said'>,
  system: UnitSystem,
): { message: string; remedy: string } =>
  said ? { message: sentence(said.message, system), remedy: sentence(said.remedy, system) } : { message, remedy };
