/**
 * The same figures to the last digit in every browser and on the command line. Sums, products, quotients and square roots are the same everywhere
 * (IEEE 754), but sines, powers and their kin may end in another digit (ECMAScript leaves them to each engine, and engines change them). So those of
 * one library, which needs only what is the same everywhere, take their place: for this program and for the libraries it computes with.
 * The operator ** cannot be replaced and stands for squares alone; `power` for all else.
 */
import acos from '@stdlib/math-base-special-acos';
import asin from '@stdlib/math-base-special-asin';
import atan from '@stdlib/math-base-special-atan';
import atan2 from '@stdlib/math-base-special-atan2';
import cos from '@stdlib/math-base-special-cos';
import exp from '@stdlib/math-base-special-exp';
import log from '@stdlib/math-base-special-ln';
import pow from '@stdlib/math-base-special-pow';
import sin from '@stdlib/math-base-special-sin';
import tan from '@stdlib/math-base-special-tan';

Object.assign(Math, { acos, asin, atan, atan2, cos, exp, log, pow, sin, tan });

/** `base` to the power of `exponent`, the same everywhere. */
export const power = pow;
