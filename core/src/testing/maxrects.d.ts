/** The part of maxrects-packer's Node build (untyped) that the tests use. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export class MaxRectsPacker {
    constructor(
      width: number,
      height: number,
      padding: number,
      options: { smart: boolean; pot: boolean; square: boolean; allowRotation: boolean },
    );
    addArray(boxes: { width: number; height: number }[]): void;
    bins: { rects: { x: number; y: number; width: number; height: number; oversized?: boolean }[] }[];
  }
}
