import { moveKinds, move, study, writeCombination, type Move } from './core/index';
import { motionOf } from './core/figure/compile';
import { worstOf } from './core/figure/measured.spec';
(globalThis as any).describe ??= ()=>{};
let seed=Number(process.argv[3]??7); const rnd=()=>{seed=(seed*1664525+1013904223)%4294967296; return seed/4294967296;};
const pick=<T,>(a:readonly T[])=>a[Math.floor(rnd()*a.length)]!;
const n=Number(process.argv[2]??100); const skip=(process.argv[4]??'').split(',');
const S=1.75; const tally=new Map<string,{n:number,worst:number,ex:string}>();
let frames=0,t0=Date.now();
for(let i=0;i<n;i++){ const items:Move[]=[]; const len=2+Math.floor(rnd()*6);
 while(items.length<len){const k=pick(moveKinds); if(skip.includes(k.id)) continue; const side=k.sides.length?pick(k.sides):undefined; const target=k.targets.length?pick(k.targets):undefined; items.push(move(k.id as any,side as any,target as any));}
 const c={items}; const pace=pick((process.argv[6]??'0.6,1,1.45').split(',').map(Number)); const r=study(c).turns[0]!;
 const m=motionOf([{at:0,repetition:r}],{pace,square:process.argv[5]==='square',until:r.ms/pace+500});
 for(const [k,w] of worstOf(m,8)){ const f=Math.max(1,pace);
  const lim=k==='length'?1e-9:k==='hand speed'?12*f/S:k==='foot speed'?18*f/S:k==='planted'||k==='under the floor'?1e-9:k.startsWith('touch')?0.02/S:0;
  if(w.value>lim){ const v=k.includes('speed')?w.value*S/f:k.startsWith('touch')||k==='balance'?w.value*S:w.value; const e=tally.get(k)??{n:0,worst:0,ex:''}; e.n++; if(v>e.worst){e.worst=v;e.ex=`${writeCombination(c)} @${w.at} x${pace}`;} tally.set(k,e);} }
}
for(const [k,e] of [...tally].sort((a,b)=>b[1].n-a[1].n)) console.log(String(e.n).padStart(4),e.worst.toFixed(3).padStart(8),k.padEnd(40),e.ex);
console.log((Date.now()-t0)+' ms');
