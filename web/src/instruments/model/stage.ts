import {
  AmbientLight,
  DirectionalLight,
  DoubleSide,
  Group,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Scene,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { modelColours } from '../../ui/daylight.ts';
import type { Piece } from './pieces.ts';

/** The model's stage: it draws when something has changed and rests otherwise. */
export interface Stage {
  /** Replaces what stands on it. */
  show: (pieces: readonly Piece[]) => void;
  /** Light from a side: degrees round from the far edge, clockwise seen from above, and degrees above the board. */
  light: (sideDegrees: number, heightDegrees: number) => void;
  /** Looks at the whole from outside, from the near right. */
  lookFromOutside: (widthMm: number, depthMm: number, tallestMm: number) => void;
  /** Stands at a place and looks at another; the wheel and the pointer then turn the head. */
  lookFrom: (eye: readonly [number, number, number], at: readonly [number, number, number]) => void;
  resize: (width: number, height: number) => void;
  background: (colour: string) => void;
  picture: () => Promise<Blob | null>;
  end: () => void;
}

/** Sets the stage up on a canvas. Throws where the browser has no WebGL. */
export function createStage(canvas: HTMLCanvasElement): Stage {
  // Asked for here, so that a browser without it is a case of ours and not an error in the console.
  const context = canvas.getContext('webgl2', { antialias: true });
  if (!context) throw new Error('no WebGL');
  const renderer = new WebGLRenderer({ canvas, context });
  const scene = new Scene();
  const camera = new PerspectiveCamera(40, 1, 0.5, 20_000);
  const controls = new OrbitControls(camera, canvas);
  controls.listenToKeyEvents(canvas);
  controls.keyRotateSpeed = 3;
  const sun = new DirectionalLight(modelColours.sun, 2.4);
  scene.add(sun, sun.target, new AmbientLight(modelColours.sky, 1.1));
  let standing = new Group();
  scene.add(standing);

  let due = 0;
  const draw = () => {
    due = 0;
    renderer.render(scene, camera);
  };
  const soon = () => {
    if (!due) due = requestAnimationFrame(draw);
  };
  controls.addEventListener('change', soon);

  const clear = () => {
    scene.remove(standing);
    standing.traverse((object) => {
      if (!(object instanceof Mesh)) return;
      object.geometry.dispose();
      object.material.dispose();
    });
  };
  return {
    show(pieces) {
      clear();
      standing = new Group();
      for (const { geometry, colour, glassy, ghostly } of pieces) {
        const material = new MeshLambertMaterial({
          color: colour,
          side: DoubleSide,
          transparent: glassy === true || ghostly === true,
          opacity: ghostly ? 0.28 : glassy ? 0.62 : 1,
          depthWrite: !ghostly,
        });
        standing.add(new Mesh(geometry, material));
      }
      scene.add(standing);
      soon();
    },
    light(side, height) {
      const [s, h] = [(side * Math.PI) / 180, (height * Math.PI) / 180];
      sun.position.set(Math.sin(s) * Math.cos(h), Math.sin(h), -Math.cos(s) * Math.cos(h)).multiplyScalar(5000);
      soon();
    },
    lookFromOutside(width, depth, tallest) {
      const middle = new Vector3(width / 2, Math.max(depth / 20, tallest / 2.6), depth / 2);
      controls.target.copy(middle);
      camera.position
        .copy(middle)
        .add(new Vector3(0.45, 0.85, 1).normalize().multiplyScalar(1.22 * Math.hypot(width, depth, tallest * 0.9)));
      controls.update();
      soon();
    },
    lookFrom(eye, at) {
      camera.position.set(...eye);
      // The point turned about lies just before the eye, so that turning is looking round.
      const ahead = new Vector3(...at).sub(camera.position).normalize();
      controls.target.copy(camera.position).add(ahead);
      controls.update();
      soon();
    },
    resize(width, height) {
      renderer.setPixelRatio(Math.min(1.5, window.devicePixelRatio));
      renderer.setSize(width, height, false);
      camera.aspect = width / Math.max(1, height);
      camera.updateProjectionMatrix();
      draw();
    },
    background(colour) {
      renderer.setClearColor(colour);
      soon();
    },
    picture: () =>
      new Promise((resolve) => {
        draw();
        canvas.toBlob(resolve, 'image/png');
      }),
    end() {
      cancelAnimationFrame(due);
      controls.dispose();
      clear();
      renderer.dispose();
    },
  };
}
