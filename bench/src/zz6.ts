import { readFileSync } from 'node:fs';
import { createPlanner, readProject } from '../../core/src/index.ts';
import { neckOf, insideRadiusOf } from '../../core/src/cutting/neck.ts';
import { piecesOf } from '../../core/src/cutting/pieces.ts';
import { largestRoom } from '../../core/src/cutting/beds.ts';
  const r = readProject(readFileSync(`/work/main/samples/harl-quarry.hosket.json`,'utf8')); if (!r.ok) throw 1;
  const planner = createPlanner(); let g = planner.run(r.value); let s; do s = g.next(); while (!s.done);
  const rep = s.value.report;
  for (let k=0;k<3;k++) { const t0 = Date.now(); const { pieces } = piecesOf(r.value, rep.stack.layers as never, (i)=>largestRoom(r.value,i)); const t1=Date.now(); for (const p of pieces) neckOf(p.outline); const t2=Date.now(); for (const p of pieces) insideRadiusOf(p.outline); const t3 = Date.now(); console.log('pieces', t1-t0, 'neck', t2-t1, 'radius', t3-t2); }
