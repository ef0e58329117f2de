import { baseOutline, baseSize, heightAt, type PlanReport, type Project } from '@hosket/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useShown } from '../../store/preview.ts';
import { useTheme } from '../../store/theme.ts';
import { usePicked } from '../../store/viewStore.ts';
import { modelColours } from '../../ui/daylight.ts';
import type { Fields } from '../../worker/messages.ts';
import { chosenSchool, useFields, usePlan } from '../../worker/planStore.ts';
import { offerModelPicture } from '../handling/picture.ts';
import { useSize } from '../handling/useSize.ts';
import { useSectionLine } from '../section/sectionLine.ts';
import { defaultLook, type Look, ModelTools } from './ModelTools.tsx';
import { hollowPieces, layerPieces, type Piece, standPieces, thingPieces } from './pieces.ts';
import { createStage, type Stage } from './stage.ts';
import { skirtGeometry, terrainGeometry } from './terrain.ts';

/** The finished ground as one would walk round it. */
export default function ModelView({ start, tools = true }: { start?: Partial<Look>; tools?: boolean }) {
  const project = useShown();
  const report = usePlan((state) => state.report);
  const fields = useFields();
  const section = useSectionLine();
  const theme = useTheme();
  const [look, setLook] = useState<Look>({ ...defaultLook, ...start });
  const [room, width, height] = useSize();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [stage, setStage] = useState<Stage | null>(null);
  const [missing, setMissing] = useState(false);
  const { widthMm, depthMm } = baseSize(project.base);
  const highestMm = report?.ground.highestMm ?? 0;
  // Rounded, so that looking on is not disturbed by every small change.
  const tallestMm = 20 * Math.round((report?.fit.tallestMm ?? 0) / 20);

  useEffect(() => {
    if (!canvas.current) return;
    try {
      const made = createStage(canvas.current);
      setStage(made);
      offerModelPicture(made.picture);
      return () => {
        offerModelPicture(null);
        made.end();
      };
    } catch {
      setMissing(true);
    }
  }, []);
  useEffect(() => {
    if (stage && width > 0) stage.resize(width, height);
  }, [stage, width, height]);
  useEffect(() => {
    stage?.background(theme === 'evening' ? modelColours.nightRoom : modelColours.dayRoom);
  }, [stage, theme]);
  useEffect(() => stage?.light(look.lightSide, look.lightHeight), [stage, look.lightSide, look.lightHeight]);
  const { pulled, show } = look;
  const picked = usePicked((state) => state.layer);
  const pieces = useMemo(
    () => (fields && report && stage ? piecesOf(project, report, fields, { pulled, show }, picked) : []),
    [project, report, fields, pulled, show, picked, stage],
  );
  useEffect(() => stage?.show(pieces), [stage, pieces]);
  const outside = look.eyeMm === null;
  useEffect(() => {
    if (outside) stage?.lookFromOutside(widthMm, depthMm, tallestMm);
  }, [stage, outside, widthMm, depthMm, tallestMm]);
  useEffect(() => {
    if (!stage || look.eyeMm === null || !fields) return;
    const [x, y] = section.from;
    const [u, v] = section.to;
    const eye = heightAt(fields.ground, x, y) + look.eyeMm;
    stage.lookFrom([x, eye, depthMm - y], [u, eye, depthMm - v]);
  }, [stage, look.eyeMm, section.from, section.to, fields, depthMm]);

  return (
    <div className="absolute inset-0 flex flex-col">
      <ModelTools look={look} onLook={setLook} section={section.name} scale={project.scale} short={!tools} />
      <div ref={room} className="relative min-h-0 flex-1" data-picture="model">
        {missing ? (
          <p className="max-w-prose p-4">
            This browser cannot draw the model, because it has no WebGL. The plan and the section show everything that
            the model would; with graphics acceleration switched on, or in another browser, the model appears here.
          </p>
        ) : (
          <canvas
            ref={canvas}
            tabIndex={0}
            role="img"
            aria-label={`Model of the finished ground, up to ${Math.round(highestMm)} mm high. Drag to walk round it; Shift and arrow keys turn it, arrow keys move it, the wheel brings it nearer.`}
            className="size-full cursor-grab"
          />
        )}
      </div>
    </div>
  );
}

function piecesOf(
  project: Project,
  report: PlanReport,
  fields: Fields,
  { pulled, show }: Pick<Look, 'pulled' | 'show'>,
  picked: number | null,
): Piece[] {
  const { depthMm } = baseSize(project.base);
  const outline = baseOutline(project.base);
  const layers = chosenSchool(report).layers;
  const lift = pulled ? pulled * (layers.length + 1) : 0;
  const pieces: Piece[] = standPieces(project.base, depthMm);
  if (pulled > 0 || show === 'sheets') pieces.push(...layerPieces(layers, pulled, picked, depthMm));
  if (show !== 'sheets') {
    const through = show === 'through';
    pieces.push({
      geometry: terrainGeometry(fields.ground, outline, depthMm).translate(0, lift, 0),
      colour: modelColours.ground,
      ghostly: through,
    });
    if (!pulled)
      pieces.push({
        geometry: skirtGeometry(fields.ground, outline, depthMm),
        colour: modelColours.skirt,
        ghostly: through,
      });
    const inAndOn = [...thingPieces(project, report), ...(through ? hollowPieces(project.voids, depthMm) : [])];
    for (const piece of inAndOn) pieces.push({ ...piece, geometry: piece.geometry.translate(0, lift, 0) });
  }
  return pieces;
}
