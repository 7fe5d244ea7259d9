import { chromium } from '@playwright/test';
import { fill } from './bench/pages';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox']});
const p=await (await b.newContext({baseURL:'http://localhost:4400',serviceWorkers:'block',viewport:{width:1280,height:800}})).newPage();
await p.goto('/log'); await p.getByText('34 entries').waitFor();
await fill(p,{sheets:5,log:5000,book:12});
await p.goto('/log'); await p.getByText('5000 entries').waitFor({timeout:60000}); await p.waitForTimeout(1500);
const r=await p.evaluate(async()=>{
 const field=document.querySelector<HTMLInputElement>('kt-log-filter input')!; const took:number[]=[];
 const words=['watch','alarm','a','hands','tower','ten','one','legs','x','on','legs t','tower f','alarm in',''];
 for(let k=0;k<4;k++) for(const w of words){
  const tbody=document.querySelector('cdk-virtual-scroll-viewport')!.parentElement!;
  const st=document.querySelector('kt-log-filter [role=status]')!;
  const before=st.textContent+tbody.querySelector('tbody')!.textContent!.slice(0,2600);
  const start=performance.now(); field.value=w; field.dispatchEvent(new Event('input',{bubbles:true}));
  let t=0;
  for(;;){ await new Promise(n=>requestAnimationFrame(()=>setTimeout(n))); const now=st.textContent+tbody.querySelector('tbody')!.textContent!.slice(0,2600); t=performance.now()-start; if(now!==before||t>400)break;}
  if(k>0)took.push(t); await new Promise(n=>setTimeout(n,120));
 } return took;});
console.log(r.slice(0,14).map(x=>Math.round(x)).join(' ')); const s=[...r].sort((a,b)=>a-b); console.log('median',s[s.length>>1],'p95',s[Math.floor(s.length*.95)]);
await b.close();
