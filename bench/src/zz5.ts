import { readFileSync } from 'node:fs';
import { createPlanner, readProject } from '../../core/src/index.ts';
import { cuttingOf } from '../../core/src/cutting/index.ts';
for (const f of ['harl-quarry','vessa-terraces','tarrow-moor']) {
  const r = readProject(readFileSync(`/work/main/samples/${f}.hosket.json`,'utf8')); if (!r.ok) throw 1;
  const planner = createPlanner(); let g = planner.run(r.value); let s; do s = g.next(); while (!s.done);
  const rep = s.value.report;
  for (let k=0;k<3;k++) { const t0 = Date.now(); cuttingOf(r.value, rep.stack.layers as never); console.log(f, 'cutting ms', Date.now()-t0); }
  console.log(rep.cutting.pieces.map(p=>`${p.id} ${p.outline.outer.length}v neck ${p.neck?.widthMm.toFixed(1)} r ${p.insideRadiusMm} on ${p.bed}`).join('\n'));
  console.log(rep.cutting.beds.map(b=>`${b.name} ${b.pieces.length} left ${b.left.length}`), rep.cutting.nowhere, rep.cutting.clashes, rep.stack.sheetsUsed, rep.cutting.yieldPercent, rep.findings.filter(x=>x.band==='cutting').map(x=>x.message));
}
