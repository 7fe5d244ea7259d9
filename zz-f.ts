import fc from 'fast-check';
(globalThis as any).describe ??= ()=>{};
import { plainCombination, anyCombination } from './core/notation/arbitrary.spec';
import { writeCombination } from './core/index';
import { figureOf } from './core/figure/figure-of';
import { worstOf } from './core/figure/measured.spec';
const S=1.75;const which=process.argv[2]; let n=0;
for(const c of fc.sample(which==='any'?anyCombination:plainCombination,{numRuns:Number(process.argv[3]??80),seed:Number(process.argv[4]??2024)})){
 for(const st of which==='any'?['orthodox','square'] as const:['orthodox'] as const){
 const w=worstOf(figureOf(c,st,1).motion,8); const bad:string[]=[];
 for(const [k,v] of w){ if(which==='any'&&!['length','planted','under the floor'].includes(k)) continue; const lim=k==='length'?1e-9:k==='hand speed'?12/S:k==='foot speed'?18/S:k==='planted'||k==='under the floor'?1e-9:k.startsWith('touch')?0.02/S:k==='balance'?0.005/S:1; if(v.value>lim) bad.push(`${k} ${v.value.toFixed(3)}@${v.at}`);}
 if(bad.length){ n++; console.log(st,writeCombination(c),'|',bad.join(', '));}
}}
console.log(n);
