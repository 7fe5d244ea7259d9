import { readCombination, study } from './core/index';
import { motionOf } from './core/figure/compile';
import { jointsAt, poseAt } from './core/figure/body-motion';
import { jointAngles, outOfBalance } from './core/figure/measured.spec';
(globalThis as any).describe ??= ()=>{};
const r=readCombination(process.argv[2]!); if(!r.ok) throw 1; const m=motionOf([{at:0,repetition:study(r.value).turns[0]!}],{square:process.argv[4]==='square',until:study(r.value).turns[0]!.ms+500,pace:Number(process.argv[5]??1)});
let last='';for(let at=0;at<m.ms;at+=10){ const j=jointsAt(m,at); const b=outOfBalance(j,poseAt(m,at)); const bad=jointAngles(j,poseAt(m,at)).filter(a=>a.beyond>-0.5).map(a=>a.name+' '+a.beyond.toFixed(1)); if(b!==null&&b>-0.002) bad.push('balance '+(b*1.75).toFixed(3)); if(bad.length) console.log(at,bad.join(', ')); }
