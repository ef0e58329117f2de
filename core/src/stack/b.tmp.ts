import { hypsometryOf } from '../geometry/index.ts';
import { groundFrom } from '../testing/solids.ts';
import { modelOf, pool, usualWeights } from '../testing/stackModel.ts';
import { cheapest, frontOf, graphOf, costOf } from './index.ts';
const hs = Array.from({length:15},(_,k)=>7.3+k*9.7);
const {grid,coverage}=groundFrom(420,297,(x)=>{const u=x/420*15; const k=Math.min(14,Math.floor(u)); const f=u-k; return (k?hs[k-1]:0)+ (f<0.5? f*2:1)*(hs[k]-(k?hs[k-1]:0));},1);
const curve=hypsometryOf(grid,coverage);
for (const [name,pools,glue] of [['3 kinds endless',[pool(10),pool(20),pool(30)],0.1],['3 kinds, scarce',[pool(10,150000),pool(20,300000),pool(30,1e6)],0.1],['4 odd',[pool(8),pool(12.7),pool(19.6),pool(25.4)],0.1],['4 odd scarce',[pool(8,1e5),pool(12.7,2e5),pool(19.6,2e5),pool(25.4)],0.1],['no glue',[pool(10),pool(20),pool(30)],0]] as const)
for (const give of [0,3]) {
  const model=modelOf(curve,0.5,pools as any,{glueLineMm:glue as number,levels:hs.map(h=>({heightMm:Math.round(h*20)/20,downMm:give,upMm:give,together:null})),movePerLevelMin:2,movePerMmMin:1});
  for (let r=0;r<2;r++){
  const t0=performance.now(); const g=graphOf(model); const t1=performance.now(); const f=cheapest(g,usualWeights); const t2=performance.now();
  console.log(name,give,'nodes',g.nodes.length,'edges',g.nodes.reduce((s,n)=>s+n.edges.length,0),'graph ms',(t1-t0).toFixed(0),'cheapest',(t2-t1).toFixed(0),costOf(model,f.steps,usualWeights).toFixed(1),'moves',f.steps.flatMap(s=>s.moves).length,f.exact);
  const t3=performance.now(); const fr=frontOf([{label:'x',graph:g}]); console.log('   front',(performance.now()-t3).toFixed(0),fr.candidates.length,fr.complete);}
}
