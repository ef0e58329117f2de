import { mm } from '../../units/index.ts';
import type { Finding, Rule } from '../finding.ts';
import { isContour, where } from '../markWords.ts';

/** Less of the base than this is not worth a word, share. */
const LEAST_SHARE = 0.02;

/** Ground of which nothing says how high it is: it goes on the way it came. */
export const guessedGround: Rule = ({ project, ground }) => {
  const { guess } = ground;
  if (!guess || guess.share < LEAST_SHARE) return [];
  const percent = Math.max(1, Math.round(100 * guess.share));
  const [only, ...more] = project.marks;
  const finding = (message: string, remedy: string): Finding => ({
    code: 'ground-guessed',
    severity: 'note',
    band: 'ground',
    place: `near ${where(guess.at)}`,
    message,
    remedy,
    at: guess.at,
  });
  if (only && !more.length && isContour(only))
    return [
      finding(
        `One contour alone makes a slab: ${percent} % of the base lies at ${mm(only.heightMm)} because nothing says otherwise.`,
        'Draw a second contour or a spot height to say which way it slopes; or draw it as a level outline to mean a bench.',
      ),
    ];
  return [
    finding(
      `Nothing says how high it is here: ${percent} % of the base, beyond the last lines, is a guess that goes on as the slope came.`,
      'Add a spot height there, or one more contour.',
    ),
  ];
};
