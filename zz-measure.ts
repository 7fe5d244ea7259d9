import { readCombination, study, moveKinds, moveKind, writeCombination } from './core/index';
import { motionOf } from './core/figure/compile';
import { jointsAt, contactPoint } from './core/figure/body-motion';
import { worstOf } from './core/figure/measured.spec';
(globalThis as any).describe ??= ()=>{};
const texts=process.argv.slice(2);
const S=1.75;
for(const t of texts){ const r=readCombination(t); if(!r.ok){console.log(t,'?');continue;}
 const s=study(r.value); const m=motionOf([{at:0,repetition:s.turns[0]!}],{until:s.turns[0]!.ms+600});
 const parts:string[]=[];
 for(const h of m.hits){const p=contactPoint(jointsAt(m,h.at),h.body,h.point); parts.push(`hit ${Math.round(h.at)} ${p.map(v=>(v*S).toFixed(2)).join(',')}`);}
 for(const [k,w] of worstOf(m)){ 
  const lim=k==='length'?1e-9:k==='hand speed'?12/S:k==='foot speed'?18/S:k==='planted'||k==='under the floor'?1e-9:k.startsWith('touch')?0.02/S:k==='balance'?0:0.0;
  if(w.value>lim) parts.push(`${k} ${(k.includes('speed')||k.startsWith('touch')||k==='balance'?w.value*S:w.value).toFixed(3)}@${w.at}`); }
 console.log(t.padEnd(8),parts.join(' | '));
}
