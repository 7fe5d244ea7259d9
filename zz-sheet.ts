import { writeFileSync } from 'node:fs';
import { chromium } from 'playwright';
import { readCombination, study, moveKinds, mirrorCombination } from './core/index';
import { motionOf } from './core/figure/compile';
import { jointsAt, contactPoint } from './core/figure/body-motion';
import { pictureOf } from './core/figure/picture';
import { cameraOf, views, type ViewName } from './core/figure/view';
import { svgOutline } from './core/figure/svg-path';
const colours: Record<string,string> = {'lead limb':'#f0b48c','rear limb':'#8fc2c2','lead glove':'#c8501e','rear glove':'#0f6e78','trunk':'#f3ead9','shorts':'#3d3a36','skin':'#f3ead9','band':'#26221e','line':'#26221e'};
export function figureSvg(j:any, lead:any, view:ViewName, W=200,H=250, ring?: any, label=''){
  const cam=cameraOf(views[view],[0,0,0]); const S=H*0.86;
  const X=(x:number)=>W*0.5+x*S, Y=(y:number)=>H*0.5+y*S;
  let out=`<svg width="${W}" height="${H}" style="background:#faf6ee;border:1px solid #ddd">`;
  const g=cam([0,0,0]); 
  for(const p of pictureOf(j,lead,cam)){
    if(p.kind==='hull'){ const d=svgOutline(p.discs.map(q=>({x:X(q.x),y:Y(q.y),r:q.r*S}))); out+=`<path d="${d}" fill="${colours[p.paint]}" stroke="#26221e" stroke-width="1.3"/>`; }
    else out+=`<polyline points="${p.points.map(([x,y])=>`${X(x)},${Y(y)}`).join(' ')}" fill="none" stroke="${colours[p.paint]}" stroke-width="${p.width*S}"/>`;
  }
  if(ring){const r=cam(ring); out+=`<circle cx="${X(r.x)}" cy="${Y(r.y)}" r="${0.06*S}" fill="none" stroke="#26221e" stroke-width="2"/>`}
  out+=`<text x="4" y="14" font-size="12">${label}</text></svg>`; return out;
}
const args=process.argv.slice(2);
const mode=args[0], out=args[1]!;
let html='<body style="margin:0;font-family:sans-serif">';
const vs:ViewName[]=['front','three-quarter','side'];
if(mode==='moves'){
  const texts=args.slice(2);
  for(const v of vs){ html+='<div style="display:flex">'; for(const t of texts){ const r=readCombination(t); if(!r.ok) throw new Error(t);
    const m=motionOf([{at:0,repetition:study(r.value).turns[0]!}]);
    const hit=m.hits.at(-1); const at=hit?hit.at:m.ms*0.5; const j=jointsAt(m,at);
    html+=figureSvg(j,'left',v,Math.floor(1280/texts.length),250,hit&&contactPoint(j,hit.body,hit.point),t);} html+='</div>'; }
} else { // strip: text, n frames, from,to
  const [t,n,view]=[args[2]!,Number(args[3]),(args[4]??'three-quarter') as ViewName]; const r=readCombination(t); if(!r.ok) throw new Error(t);
  const m=motionOf([{at:0,repetition:study(r.value).turns[0]!}],{until:study(r.value).turns[0]!.ms});
  html+='<div style="display:flex;flex-wrap:wrap">'; for(let i=0;i<n;i++){const at=m.ms*i/(n-1); html+=figureSvg(jointsAt(m,at),'left',view,Math.floor(1280/8)-2,200,undefined,String(Math.round(at)));} html+='</div>';
}
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']}); const p=await b.newPage({viewport:{width:1290,height:800}}); await p.setContent(html); await p.screenshot({path:out}); await b.close();
