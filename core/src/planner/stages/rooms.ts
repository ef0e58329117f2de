import { layIn, namedLaid, roomsOf } from '../../layers/index.ts';
import { catalogueOf } from '../../materials/index.ts';
import { stage } from '../input.ts';
import { ground } from './ground.ts';
import { target } from './target.ts';

/** Things laid into the ground: how deep they lie. */
const laidPlaces = stage({
  name: 'places of what is laid in',
  needs: { ground, target },
  run: ({ input: { project }, needs }) => layIn(project, needs.ground, needs.target, catalogueOf(project.materials)),
});

/** The same with names. */
export const laid = stage({
  name: 'laid in',
  needs: { laidPlaces },
  run: ({ input: { project }, needs }) => namedLaid(project, needs.laidPlaces),
});

/** Rooms that foam is taken out for. */
export const rooms = stage({
  name: 'rooms',
  needs: { ground, laidPlaces },
  run: ({ input: { project }, needs }) => roomsOf(project, needs.ground, needs.laidPlaces),
});
