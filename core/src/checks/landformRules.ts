import { nameOf } from '../project/index.ts';
import { onGround, type Rule } from './finding.ts';

const tenth = (value: number) => value.toFixed(1);

/** "1 in 12" for a gradient of 1/12. */
export const sayGradient = (gradient: number): string =>
  Math.abs(gradient) < 1e-4 ? 'level' : `1 in ${(1 / Math.abs(gradient)).toFixed(Math.abs(gradient) > 0.1 ? 1 : 0)}`;

/** A way steeper than its limit. */
export const steepWays: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const ends = ground.built.find(({ id }) => id === form.id)?.ends;
    if (form.kind !== 'way' || !ends?.lengthMm) return [];
    const climb = Math.abs(ends.toMm - ends.fromMm);
    const limit = form.gradientPercent / 100;
    if (climb <= limit * ends.lengthMm + 0.05) return [];
    const longer = limit ? `make it ${tenth(climb / limit - ends.lengthMm)} mm longer, or ` : '';
    return [
      onGround(
        form.id,
        nameOf(form),
        'way-too-steep',
        `${nameOf(form)} climbs ${tenth((100 * climb) / ends.lengthMm)} % (${sayGradient(climb / ends.lengthMm)}); its limit is ${form.gradientPercent} %.`,
        `Bring its ends ${tenth(climb - limit * ends.lengthMm)} mm nearer in height${longer ? `, ${longer}raise the limit.` : ', or raise the limit.'}`,
      ),
    ];
  });

/** A deck with less room under it than is wanted, or none at all. */
export const lowSpans: Rule = ({ project, spans }) =>
  spans.flatMap((span) => {
    const form = project.landforms.find(({ id }) => id === span.id);
    const tightest = span.rooms[0];
    if (form?.kind !== 'span' || !tightest) return [];
    if (tightest.roomMm >= form.clearanceMm && tightest.roomMm > 0) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'span-too-low',
        tightest.roomMm <= 0
          ? `${nameOf(form)} lies in ${tightest.over}: its underside is ${tenth(-tightest.roomMm)} mm too low there.`
          : `${nameOf(form)} leaves ${tenth(tightest.roomMm)} mm over ${tightest.over}; ${tenth(form.clearanceMm)} mm are wanted.`,
        `Raise the deck by ${tenth(form.clearanceMm - tightest.roomMm)} mm, or lower what lies under it.`,
      ),
    ];
  });

/** A landform that changed nothing. */
export const idleLandforms: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const built = ground.built.find(({ id }) => id === form.id);
    if (form.kind === 'cliff' || form.kind === 'span' || !built || built.areaMm2 > 0) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'changes-nothing',
        `${nameOf(form)} changes nothing: the ground already lies as it asks.`,
        'Change its heights, or build it later in the order.',
      ),
    ];
  });

export const upsideDownCliffs: Rule = ({ project }) =>
  project.landforms.flatMap((form) =>
    form.kind === 'cliff' && form.topMm < form.footMm
      ? [
          onGround(
            form.id,
            nameOf(form),
            'cliff-upside-down',
            `The top of ${nameOf(form)} stands below its foot.`,
            'Exchange the two heights, or draw the cliff from its other end.',
          ),
        ]
      : [],
  );

/** A bed or floor that would have to lie below the baseboard. */
export const belowTheBoard: Rule = ({ project, ground }) =>
  project.landforms.flatMap((form) => {
    const ends = ground.built.find(({ id }) => id === form.id)?.ends;
    const low =
      form.kind === 'basin'
        ? form.waterMm - form.depthMm
        : form.kind === 'channel' && ends
          ? Math.min(ends.fromMm, ends.toMm) - form.depthMm
          : 0;
    if (low >= -0.05) return [];
    return [
      onGround(
        form.id,
        nameOf(form),
        'below-the-board',
        `The bed of ${nameOf(form)} would lie ${tenth(-low)} mm below the top of the baseboard; it stops there.`,
        'Raise its water, or make it shallower.',
      ),
    ];
  });

/** A thing laid on ground so uneven that it would rock, or stand in the air on one side. */
export const rockingThings: Rule = ({ project, laid }) =>
  laid.flatMap((read) => {
    const thing = project.laid.find(({ id }) => id === read.id);
    if (!thing || read.unevenMm <= 2 * thing.beddedMm + 1) return [];
    return [
      onGround(
        thing.id,
        nameOf(thing),
        'stands-uneven',
        `The ground under ${nameOf(thing)} rises ${tenth(read.unevenMm)} mm; bedded ${tenth(thing.beddedMm)} mm it stands in the air on one side.`,
        'Bed it deeper, or put a pad under it.',
      ),
    ];
  });
