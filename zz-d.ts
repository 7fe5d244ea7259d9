import { readCombination, study } from './core/index';
import { motionOf } from './core/figure/compile';
import { jointsAt, poseAt } from './core/figure/body-motion';
import { minus, unit } from './core/figure/vector';
const [t,a,b,st]=process.argv.slice(2); const r=readCombination(t!); if(!r.ok) throw 1; const m=motionOf([{at:0,repetition:study(r.value).turns[0]!}]);
const side=(process.argv[6]??'right') as 'right';
console.log(m.feet[side].times.map(Math.round).join(' '));console.log(m.hips.times.map(Math.round).join(' '));
for(let x=Number(a);x<=Number(b);x+=Number(st)){const j=jointsAt(m,x);const p=poseAt(m,x);const f=(v:any)=>v.map((q:number)=>q.toFixed(2)).join(',');
console.log(x,'thigh',f(unit(minus(j[`${side} knee`],j[`${side} hip`]))),'shank',f(unit(minus(j[`${side} ankle`],j[`${side} knee`]))),'pelvis',f(j.pelvis),'turn',(p.hipTurn*57.3).toFixed(0),'tip',(p.hipTip*57.3).toFixed(0),'ball',f(p.feet[side].ball),'real',f(j[`${side} ball`]),'knee',f(p.feet[side].knee));}
